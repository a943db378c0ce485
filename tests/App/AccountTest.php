<?php

declare(strict_types=1);

namespace Lustrum\Tests\App;

use Doctrine\DBAL\Connection;
use Lustrum\Account\SignInThrottle;
use PHPUnit\Framework\Attributes\DataProvider;

final class AccountTest extends ApiTestCase
{
    public function testSigningInAndOut(): void
    {
        $this->client->getCookieJar()->clear();
        $this->fetchToken();
        $signedIn = $this->json('POST', '/api/session', ['email' => 'LEAD@example.test ', 'password' => self::PASSWORD]);
        self::assertSame(200, $this->answered());
        $this->useToken(self::text($signedIn, 'token'));
        $this->put('devices', ['workspace' => self::text($signedIn, 'workspaces', 0, 'id'), 'name' => 'With the token of the answer']);
        $session = $this->json('GET', '/api/session');
        self::assertSame('Lead', $session['name']);
        self::assertSame('lead', self::text($session, 'workspaces', 0, 'role'));
        $this->json('DELETE', '/api/session');
        self::assertSame(204, $this->answered());
        self::assertNull($this->json('GET', '/api/session')['name']);
    }

    public function testAWrongPasswordSaysNoMoreThanNeeded(): void
    {
        $this->client->getCookieJar()->clear();
        $this->fetchToken();
        $wrong = $this->json('POST', '/api/session', ['email' => 'lead@example.test', 'password' => 'not it']);
        $unknown = $this->json('POST', '/api/session', ['email' => 'nobody@example.test', 'password' => 'not it']);
        self::assertSame(401, $this->answered());
        self::assertSame($wrong['detail'], $unknown['detail']);
        foreach ([['email' => ['x'], 'password' => 'y'], ['email' => 'lead@example.test', 'password' => ['z']], []] as $odd) {
            $this->json('POST', '/api/session', $odd);
            self::assertContains($this->answered(), [400, 401, 422]);
        }
    }

    public function testGuessingIsSlowedWithoutLockingTheOwnerOut(): void
    {
        $this->client->getCookieJar()->clear();
        $this->fetchToken();
        $try = function (string $password): int {
            $this->json('POST', '/api/session', ['email' => 'lead@example.test', 'password' => $password]);

            return $this->answered();
        };
        for ($i = 0; $i < SignInThrottle::FREE; ++$i) {
            self::assertSame(401, $try('guess '.$i));
        }
        self::assertSame(429, $try('another guess'));
        self::assertGreaterThan(0, (int) $this->client->getResponse()->headers->get('Retry-After'));
        self::assertLessThanOrEqual(
            SignInThrottle::LONGEST_WAIT, (int) $this->client->getResponse()->headers->get('Retry-After'), 'A minute at the most.',
        );
        self::service(Connection::class)->executeStatement("UPDATE sign_in_failure SET until = now() - interval '1 second'");
        self::assertSame(200, $try(self::PASSWORD), 'Once the moment is over, the right one is let in.');
        $this->client->getCookieJar()->clear();
        self::assertSame(401, $try('wrong again'), 'And the count begins anew.');
    }

    public function testFortyAtOnceAreForty(): void
    {
        $throttle = self::service(SignInThrottle::class);
        $waits = array_map(static fn (int $i): int => $throttle->attempt('many@example.test', '192.0.2.1'), range(1, 40));
        self::assertCount(SignInThrottle::FREE, array_filter($waits, static fn (int $w): bool => $w === 0));
        $rows = self::service(Connection::class)->fetchAllKeyValue('SELECT key, failures FROM sign_in_failure');
        self::assertContains(40, $rows, 'Each counts for the address.');
        $spread = array_map(static fn (int $i): int => $throttle->attempt('other'.$i.'@example.test', '192.0.2.1'), range(1, 40));
        self::assertSame(900, max($spread), 'An address that tries many accounts is closed.');
        self::assertSame(0, $throttle->attempt('somebody@example.test', '192.0.2.2'), 'Another address is not.');
    }

    public function testAWriteWithoutTheTokenIsRefused(): void
    {
        $this->client->request(
            'PUT', '/api/devices/01a21049-65fc-7935-914b-241100cdb9e6', [], [], ['CONTENT_TYPE' => 'application/json'], '{}',
        );
        self::assertSame(403, $this->answered());
    }

    public function testOnlyOneFirstAccount(): void
    {
        $answer = $this->json(
            'POST', '/api/first-account',
            ['workspace' => 'Mine', 'name' => 'Me', 'email' => 'me@example.test', 'password' => self::PASSWORD],
        );
        self::assertSame(409, $this->answered());
        self::assertStringContainsString('account already', self::text($answer, 'detail'));
    }

    public function testTheFirstAccountLeads(): void
    {
        $db = self::service(Connection::class);
        $db->executeStatement('DELETE FROM membership');
        $db->executeStatement('DELETE FROM account');
        $this->client->getCookieJar()->clear();
        $this->fetchToken();
        self::assertTrue($this->json('GET', '/api/session')['empty']);
        $this->json('POST', '/api/first-account', ['workspace' => 'Mine', 'name' => 'Me', 'email' => 'me', 'password' => 'short']);
        self::assertSame(422, $this->answered());
        $session = $this->json(
            'POST', '/api/first-account',
            ['workspace' => 'Mine', 'name' => 'Me', 'email' => 'me@example.test', 'password' => self::PASSWORD],
        );
        self::assertSame(201, $this->answered(), json_encode($session) ?: '');
        self::assertSame('lead', self::text($session, 'workspaces', 0, 'role'));
    }

    public function testLeadsLetInAndOutButNotTheLastOfThem(): void
    {
        $members = '/api/workspaces/'.$this->workspace.'/members';
        $new = $this->json(
            'PUT', $members, ['name' => 'Nora', 'email' => 'nora@example.test', 'role' => 'member', 'password' => self::PASSWORD],
        );
        self::assertSame(200, $this->answered());
        self::assertCount(4, (array) $this->json('GET', $members)['people']);
        $this->json('DELETE', $members.'/'.self::text($new, 'id'));
        self::assertSame(204, $this->answered());
        $this->json('PUT', $members, ['name' => 'Lead', 'email' => 'lead@example.test', 'role' => 'viewer']);
        self::assertSame(409, $this->answered());
        $this->signIn('member@example.test');
        $this->json('PUT', $members, ['name' => 'Mo', 'email' => 'mo@example.test', 'role' => 'lead', 'password' => self::PASSWORD]);
        self::assertSame(403, $this->answered());
    }

    /** @return list<int> status of each try to sign in */
    private function tries(int $n, string $email, string $password): array
    {
        return array_map(function () use ($email, $password): int {
            $this->client->getCookieJar()->clear();
            $this->json('POST', '/api/session', ['email' => $email, 'password' => $password]);

            return $this->answered();
        }, range(1, $n));
    }

    public function testSixtyRightSignInsLockNobodyOut(): void
    {
        $this->fetchToken();
        self::assertSame(array_fill(0, 70, 200), $this->tries(70, 'lead@example.test', self::PASSWORD));
        self::assertSame([200], $this->tries(1, 'member@example.test', self::PASSWORD));
    }

    public function testAnAddressIsClosedToStrangersAndNotToThoseWhoAreSignedInThere(): void
    {
        $this->fetchToken();
        self::assertSame([200], $this->tries(1, 'member@example.test', self::PASSWORD));
        for ($i = 0; $i <= SignInThrottle::MOST_OF_ADDRESS; ++$i) {
            $this->tries(1, 'nobody'.$i.'@example.test', 'a guess');
        }
        self::assertSame([429], $this->tries(1, 'viewer@example.test', self::PASSWORD), 'Never seen here: closed.');
        self::assertSame([200], $this->tries(1, 'member@example.test', self::PASSWORD), 'At home here.');
        self::assertSame([429], $this->tries(1, 'viewer@example.test', self::PASSWORD), 'A right one of somebody else resets nothing.');
        self::service(Connection::class)->executeStatement("UPDATE sign_in_failure SET since = now() - interval '16 minutes'");
        self::assertSame([200], $this->tries(1, 'viewer@example.test', self::PASSWORD), 'Time does.');
    }

    public function testSigningInAgainGoesOnUnderAnotherIdentifier(): void
    {
        $this->client->getCookieJar()->clear();
        $this->fetchToken();
        $cookie = fn (): string => (string) $this->client->getCookieJar()->get('MOCKSESSID')?->getValue();
        $seen = [];
        for ($i = 0; $i < 3; ++$i) {
            $this->json('POST', '/api/session', ['email' => 'lead@example.test', 'password' => self::PASSWORD]);
            self::assertSame(200, $this->answered());
            $seen[] = $cookie();
        }
        self::assertCount(3, array_unique(array_filter($seen)));
        $places = self::service(Connection::class)->fetchOne("SELECT count(*) FROM signed_in s JOIN account a ON a.id = s.user_id
            WHERE a.email = 'lead@example.test' AND s.device <> 'a test'");
        self::assertSame(1, $places, 'The place before is given up.');
    }

    public function testForwardedHeadersAreNobodysWord(): void
    {
        $this->client->getCookieJar()->clear();
        $this->fetchToken();
        $this->client->setServerParameters(['HTTP_X_FORWARDED_FOR' => '203.0.113.9', 'HTTP_X_FORWARDED_HOST' => 'evil.example']);
        $this->json('POST', '/api/session', ['email' => 'lead@example.test', 'password' => self::PASSWORD]);
        self::assertSame(200, $this->answered());
        $this->client->setServerParameters([]);
        self::assertSame('signed in from 127.0.0.1', self::text(
            $this->json('GET', '/api/workspaces/'.$this->workspace.'/log'), 'rows', 0, 'what',
        ));
    }

    /** @return iterable<string, array{string, string}> */
    public static function ownPasswords(): iterable
    {
        yield 'the address' => ['nora.vidal@example.test', 'made of your address'];
        yield 'the name, and what is usual behind it' => ['NoraVidal2026', 'made of your address'];
        yield 'the workspace' => ['Workshop-123!!', 'made of your address'];
        yield 'eleven characters' => ['gravel-9-ox', 'At least 12 characters'];
    }

    #[DataProvider('ownPasswords')]
    public function testAPasswordIsNotMadeOfWhatEverybodyKnows(string $password, string $said): void
    {
        $new = ['name' => 'Nora Vidal', 'email' => 'nora.vidal@example.test', 'role' => 'member', 'password' => $password];
        $answer = $this->json('PUT', '/api/workspaces/'.$this->workspace.'/members', $new);
        self::assertSame(422, $this->answered());
        self::assertStringContainsString($said, self::text($answer, 'detail'));
        $sound = ['password' => 'Nora keeps bees in March'] + $new;
        $this->json('PUT', '/api/workspaces/'.$this->workspace.'/members', $sound);
        self::assertSame(200, $this->answered(), 'Her name may stand in a sentence of her own.');
    }

    public function testWhoeverIsSignedInElsewhereIsToldThatThePasswordWasChanged(): void
    {
        $this->client->getCookieJar()->clear();
        $this->fetchToken();
        $this->json('POST', '/api/session', ['email' => 'lead@example.test', 'password' => self::PASSWORD]);
        $elsewhere = $this->client->getCookieJar()->all();
        $this->client->getCookieJar()->clear();
        $this->signIn('lead@example.test');
        $this->json('POST', '/api/password', ['present' => self::PASSWORD, 'new' => 'lead@example.test']);
        self::assertSame(422, $this->answered());
        $this->json('POST', '/api/password', ['present' => self::PASSWORD, 'new' => 'nine geese on the weir']);
        self::assertSame(204, $this->answered());
        $you = $this->json('GET', '/api/signed-in');
        self::assertSame(200, $this->answered(), 'Where it was changed one stays.');
        self::assertNotNull($you['passwordChangedAt']);
        $this->client->getCookieJar()->clear();
        foreach ($elsewhere as $cookie) {
            $this->client->getCookieJar()->set($cookie);
        }
        $told = $this->json('GET', '/api/session');
        self::assertNull($told['name']);
        self::assertStringStartsWith('Your password was changed at another place', self::text($told, 'notice'));
        self::assertSame('', $this->json('GET', '/api/session')['notice'], 'Once.');
    }
}
