<?php

declare(strict_types=1);

namespace Lustrum\Tests\App;

use Doctrine\DBAL\Connection;
use Lustrum\Account\SignInThrottle;

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
}
