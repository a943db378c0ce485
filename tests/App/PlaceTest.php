<?php

declare(strict_types=1);

namespace Lustrum\Tests\App;

use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Lustrum\Account\Role;
use PHPUnit\Framework\Attributes\DataProvider;

/** Where somebody is signed in, and how that ends. */
final class PlaceTest extends ApiTestCase
{
    private const NEW = 'quite another long word';

    public function testANewPasswordEndsEveryOtherPlace(): void
    {
        $elsewhere = $this->cookie('lead@example.test');
        $here = $this->cookie('lead@example.test');
        self::assertCount(3, $this->places(), 'The one of the set-up, and two.');
        $this->json('POST', '/api/password', ['present' => 'wrong', 'new' => self::NEW]);
        self::assertSame(422, $this->answered());
        $this->json('POST', '/api/password', ['present' => self::PASSWORD, 'new' => 'password1234']);
        self::assertSame(422, $this->answered(), 'A word that everybody tries.');
        $this->json('POST', '/api/password', ['present' => self::PASSWORD, 'new' => self::NEW]);
        self::assertContains($this->answered(), [200, 204]);
        $this->json('POST', '/api/password', ['present' => self::PASSWORD, 'new' => self::NEW]);
        self::assertSame(204, $this->answered(), 'Sent twice, for want of an answer, it is changed once.');
        $this->with($elsewhere);
        self::assertNull($this->json('GET', '/api/session')['name'] ?? null);
        $this->json('GET', '/api/workspaces/'.$this->workspace.'/devices');
        self::assertSame(401, $this->answered());
        self::assertNotSame($here, $elsewhere);
        $this->client->getCookieJar()->clear();
        $this->json('POST', '/api/session', ['email' => 'lead@example.test', 'password' => self::PASSWORD]);
        self::assertSame(401, $this->answered(), 'The old one is none any more.');
        $this->json('POST', '/api/session', ['email' => 'lead@example.test', 'password' => self::NEW]);
        self::assertSame(200, $this->answered());
    }

    public function testAPlaceIsSignedOutFromAnother(): void
    {
        $lost = $this->cookie('member@example.test');
        $this->cookie('member@example.test');
        $other = array_values(array_filter($this->places(), static fn (mixed $p): bool => ((array) $p)['here'] === false));
        self::assertCount(1, $other);
        $this->json('DELETE', '/api/signed-in/'.self::text($other, 0, 'id'));
        self::assertSame(204, $this->answered());
        self::assertCount(1, $this->places());
        $this->with($lost);
        $this->json('GET', '/api/workspaces/'.$this->workspace.'/devices');
        self::assertSame(401, $this->answered());
    }

    public function testNobodyElsesPlaceCanBeEnded(): void
    {
        $lead = $this->cookie('lead@example.test');
        $place = self::text($this->places(), 0, 'id');
        $this->cookie('member@example.test');
        $this->json('DELETE', '/api/signed-in/'.$place);
        self::assertSame(404, $this->answered());
        $this->with($lead);
        $this->json('GET', '/api/workspaces/'.$this->workspace.'/devices');
        self::assertSame(200, $this->answered());
    }

    public function testWhoIsLetOutIsOutAtOnce(): void
    {
        $member = $this->cookie('member@example.test');
        $this->cookie('lead@example.test');
        foreach ((array) $this->json('GET', '/api/workspaces/'.$this->workspace.'/members')['people'] as $person) {
            if (self::text((array) $person, 'email') === 'member@example.test') {
                $this->json('DELETE', '/api/workspaces/'.$this->workspace.'/members/'.self::text((array) $person, 'id'));
                self::assertContains($this->answered(), [200, 204]);
            }
        }
        $this->with($member);
        $this->json('GET', '/api/workspaces/'.$this->workspace.'/devices');
        self::assertContains($this->answered(), [401, 404]);
    }

    public function testARoleThatIsTakenAwayIsTakenAtOnce(): void
    {
        $bench = $this->bench();
        $member = $this->cookie('member@example.test');
        $this->put('observations', ['revision' => $bench->a, 'text' => 'Squeaks']);
        $this->cookie('lead@example.test');
        $this->json(
            'PUT', '/api/workspaces/'.$this->workspace.'/members',
            ['name' => 'Member', 'email' => 'member@example.test', 'role' => Role::Viewer->value],
        );
        self::assertContains($this->answered(), [200, 201], (string) $this->client->getResponse()->getContent());
        $this->with($member);
        $this->json('PUT', '/api/observations/01a21294-32e2-7a5d-bc72-82bbb3790e4f', ['revision' => $bench->a, 'text' => 'Squeaks again']);
        self::assertSame(403, $this->answered());
    }

    /** @return iterable<string, array{string, int}> */
    public static function ages(): iterable
    {
        yield 'used yesterday' => ["last_seen = now() - interval '1 day'", 200];
        yield 'not used for a fortnight' => ["last_seen = now() - interval '15 days'", 401];
        yield 'old, though in use' => ["since = now() - interval '91 days'", 401];
    }

    #[DataProvider('ages')]
    public function testAPlaceEndsByItself(string $age, int $status): void
    {
        $this->cookie('member@example.test');
        self::service(Connection::class)->executeStatement('UPDATE signed_in SET '.$age);
        self::service(EntityManagerInterface::class)->clear();
        $this->json('GET', '/api/workspaces/'.$this->workspace.'/devices');
        self::assertSame($status, $this->answered());
    }

    public function testOnesOwnSheetSaysWhereOneIsSignedIn(): void
    {
        $this->cookie('member@example.test');
        $sheet = $this->json('GET', '/api/signed-in');
        self::assertSame('Member, you are signed in here and nowhere else.', $sheet['sentence']);
        $this->cookie('member@example.test');
        self::service(Connection::class)->executeStatement(
            "UPDATE signed_in SET last_seen = now() - interval '5 days' WHERE id = (SELECT s.id FROM signed_in s JOIN account a ON a.id = s.user_id WHERE a.email = 'member@example.test' ORDER BY since LIMIT 1)",
        );
        self::service(EntityManagerInterface::class)->clear();
        $sheet = $this->json('GET', '/api/signed-in');
        self::assertStringStartsWith(
            'Member, you are signed in at 2 places. One of them was not used for 5 days', self::text($sheet, 'sentence'),
        );
        self::assertSame(
            ['A program, this one', 'A program'],
            array_map(static fn (mixed $r): string => self::text((array) $r, 'what'), (array) $sheet['places']),
        );
    }

    /** Signs in by the form, and returns what the browser holds from then on. */
    private function cookie(string $email): string
    {
        $this->client->getCookieJar()->clear();
        $this->fetchToken();
        $this->json('POST', '/api/session', ['email' => $email, 'password' => self::PASSWORD]);
        self::assertSame(200, $this->answered());
        $cookies = $this->client->getCookieJar()->all();
        self::assertCount(1, $cookies);

        return $cookies[0]->getName().'='.$cookies[0]->getValue();
    }

    private function with(string $cookie): void
    {
        [$name, $value] = explode('=', $cookie, 2);
        $this->client->getCookieJar()->clear();
        $this->client->getCookieJar()->set(new \Symfony\Component\BrowserKit\Cookie($name, $value));
    }

    /** @return array<array-key, mixed> */
    private function places(): array
    {
        $answer = $this->json('GET', '/api/signed-in');
        self::assertSame(200, $this->answered());

        return array_map(static fn (mixed $row): mixed => ((array) $row)['place'], array_values((array) $answer['places']));
    }
}
