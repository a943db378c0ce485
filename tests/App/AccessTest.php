<?php

declare(strict_types=1);

namespace Lustrum\Tests\App;

use Lustrum\Account\Role;
use Lustrum\Http\Door\AllDeclared;
use Lustrum\Http\Door\Needs;
use Lustrum\Http\Door\Who;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Route;
use Symfony\Component\Routing\RouteCollection;
use Symfony\Component\Routing\RouterInterface;
use Symfony\Component\Uid\Uuid;

/** Every route and method as everybody who may come, by every spelling of its address, and from a device that was handed over. */
final class AccessTest extends EveryRoute
{
    /** What somebody of another workspace names in the body is refused at its field. */
    private const NAMED_IN_BODY = [
        'POST /api/readings/preview', 'POST /api/photos/{id}', 'POST /api/documents/{id}', 'PUT /api/runs/{id}', 'PUT /api/readings/{id}',
        'PUT /api/sheets/{id}', 'PUT /api/decisions/{id}',
    ];

    /** Whose own it is, or nobody's. */
    private const NOBODYS = ['GET /api/signed-in', 'POST /api/password', 'GET /api/explanations'];

    /** @return iterable<string, array{string}> */
    public static function people(): iterable
    {
        foreach (['stranger', 'viewer', 'member', 'lead', 'elsewhere'] as $who) {
            yield $who => [$who];
        }
    }

    #[DataProvider('people')]
    public function testWhoGetsWhere(string $who): void
    {
        $this->world();
        $this->become($who);
        $tried = 0;
        foreach ($this->every() as $what => [$method, $url, $route, $named]) {
            $expected = $this->expected($who, $method.' '.$route->getPath(), Needs::of($route)->who ?? Who::Lead);
            if ($expected === null) {
                continue;
            }
            $answer = $this->ask($method, $url, $route, $named);
            $status = $this->answered();
            self::assertSame(
                $expected, $status >= 200 && $status < 300 ? 200 : $status,
                sprintf('%s (%s) as %s: %s', $what, $named, $who, json_encode($answer)),
            );
            if ($expected !== 200) {
                self::assertArrayHasKey('detail', $answer, $what);
            }
            if ($route->getPath() === '/api/password') {
                // The session bears a password that was taken back.
                $this->become($who, false);
            }
            ++$tried;
        }
        self::assertGreaterThan(150, $tried);
    }

    /** @return int|null what is answered; null: it is for anybody, and tried elsewhere */
    private function expected(string $who, string $what, Who $needs): ?int
    {
        $path = explode(' ', $what)[1];

        return match (true) {
            $needs === Who::Anyone => null,
            $who === 'stranger' => 401,
            in_array($what, self::NOBODYS, true) => 200,
            $path === '/api/signed-in/{id}' => $who === 'lead' ? 200 : 404,
            $who === 'elsewhere' => in_array($what, self::NAMED_IN_BODY, true) ? 422 : 404,
            $needs === Who::Lead => $who === 'lead' ? 200 : 403,
            $needs === Who::Writer => $who !== 'viewer' ? 200 : 403,
            default => 200,
        };
    }

    /** A device in a rater's hand reaches the codes of that panel, and signing out; nothing else, with whatever body. */
    public function testADeviceThatWasHandedOverReachesOnePanelsCodes(): void
    {
        $this->world();
        $panel = $this->records['panel'];
        $this->json('POST', '/api/panels/'.$panel.'/hand-over');
        self::assertSame(204, $this->answered());
        $open = [
            'GET /api/session', 'DELETE /api/session', 'POST /api/session', 'GET /api/panels/'.$panel.'/rate',
            'POST /api/panels/'.$panel.'/take-back',
        ];
        $reached = [];
        foreach ($this->every() as $what => [$method, $url, $route, $named]) {
            $this->ask($method, $url, $route, $named);
            if ($this->answered() !== 403) {
                $reached[] = $named === 'put_sheet' ? 'a sheet' : $what;
                self::assertContains($what, [...$open, $named === 'put_sheet' ? $what : '']);
                $this->become('lead', false);
                $this->json('POST', '/api/panels/'.$panel.'/hand-over');
            }
        }
        self::assertEqualsCanonicalizing([...$open, 'a sheet'], $reached);
        $other = $this->sound('panel');
        self::assertNotSame([], $other);
        $this->json('GET', '/api/panels/'.Uuid::v7()->toRfc4122().'/rate');
        self::assertSame(403, $this->answered(), 'Another panel’s codes.');
    }

    /** @return iterable<string, callable(string): string> */
    private static function spellings(): iterable
    {
        yield 'a letter encoded' => static fn (string $url): string => str_replace('/api/', '/%61pi/', $url);
        yield 'the last letter encoded' => static function (string $url): string {
            [$path, $query] = explode('?', $url.'?');

            return substr($path, 0, -1).'%'.bin2hex(substr($path, -1)).'?'.$query;
        };
        yield 'a stroke encoded' => static fn (string $url): string => str_replace('/api/', '/api%2f', $url);
        yield 'a stroke doubled' => static fn (string $url): string => str_replace('/api/', '/api//', $url);
        yield 'a stroke before it' => static fn (string $url): string => '/'.$url;
        yield 'a step to where one stands' => static fn (string $url): string => str_replace('/api/', '/api/./', $url);
        yield 'a step up' => static fn (string $url): string => str_replace('/api/', '/api/session/../', $url);
        yield 'a step up, encoded' => static fn (string $url): string => str_replace('/api/', '/x/%2e%2e/api/', $url);
        yield 'a stroke behind it' => static fn (string $url): string => explode('?', $url)[0].'/';
        yield 'a parameter of the path' => static fn (string $url): string => explode('?', $url)[0].';x=1';
        yield 'by way of the script' => static fn (string $url): string => '/index.php'.$url;
    }

    public function testAnAddressIsOneText(): void
    {
        $this->world();
        $tried = 0;
        foreach ($this->every() as $what => [$method, $url, $route, $named]) {
            $body = $this->body($method, $route, $named);
            foreach (self::spellings() as $how => $spelt) {
                $answer = $this->json($method, $spelt($url), $body);
                self::assertSame([400, 'urn:lustrum:problem:address'], [$this->answered(), $answer['type'] ?? ''], $what.', '.$how);
                ++$tried;
            }
        }
        self::assertGreaterThan(1650, $tried);
    }

    public function testARouteThatDoesNotSayWhoMayGoThereDoesNotBoot(): void
    {
        self::service(AllDeclared::class)->warmUp('');
        $routes = new RouteCollection();
        $routes->add('open', (new Needs(Who::Anyone))->writeTo(new Route('/api/open')));
        $routes->add('forgotten', new Route('/api/forgotten'));
        $router = self::createStub(RouterInterface::class);
        $router->method('getRouteCollection')->willReturn($routes);
        try {
            Needs::ofMatched(Request::create('/api/forgotten'));
            self::fail('A route that was not matched was let through.');
        } catch (\LogicException) {
            $this->expectExceptionMessage('The route forgotten (/api/forgotten) does not say who may go there');
        }
        (new AllDeclared($router))->warmUp('');
    }

    /** What was written by those who may write is there, and by nobody else. */
    public function testARefusedWriteLeavesNothing(): void
    {
        $this->world();
        $device = $this->records['device'];
        foreach (['stranger', 'viewer', 'elsewhere'] as $who) {
            $this->become($who);
            $this->json('PUT', '/api/metrics/'.Uuid::v7()->toRfc4122(), ['device' => $device, 'name' => 'smuggled by '.$who]);
            self::assertContains($this->answered(), [401, 403, 422], $who);
        }
        $this->become('lead');
        self::assertStringNotContainsString('smuggled', json_encode($this->json('GET', '/api/devices/'.$device.'/brief')) ?: '');
    }

    /** A record of another kind, or another workspace's, is nowhere a way round. */
    public function testTheHistoryOfOneIsNotTheHistoryOfAnother(): void
    {
        $this->world();
        foreach ($this->records as $kind => $id) {
            $this->json('GET', '/api/history/'.$kind.'/'.$id);
            self::assertSame(200, $this->answered(), $kind);
            $other = $kind === 'device' ? 'run' : 'device';
            $this->json('GET', '/api/history/'.$other.'/'.$id);
            self::assertSame(404, $this->answered(), $kind.' asked for as '.$other);
        }
    }

    public function testAnIdentifierIsOneRecordsAlone(): void
    {
        $this->world();
        $answer = $this->json(
            'PUT', '/api/metrics/'.$this->records['failure'], ['device' => $this->records['device'], 'name' => 'under a failure’s name'],
        );
        self::assertSame(409, $this->answered(), json_encode($answer) ?: '');
    }

    public function testWhatIsReferredToBelongsToTheSameDevice(): void
    {
        $this->world();
        $other = $this->put('devices', ['workspace' => $this->workspace, 'name' => 'Another']);
        $build = $this->put('revisions', ['device' => $other, 'letter' => 'A']);
        $answer = $this->json(
            'PUT', '/api/changes/'.Uuid::v7()->toRfc4122(), ['revision' => $build, 'what' => 'x', 'against' => [$this->records['failure']]],
        );
        self::assertSame([422, 'against[0]'], [$this->answered(), self::text($answer, 'violations', 0, 'path')]);
        $answer = $this->json(
            'PUT', '/api/observations/'.Uuid::v7()->toRfc4122(), ['revision' => $build, 'text' => 'x', 'run' => $this->records['run']],
        );
        self::assertSame([422, 'run'], [$this->answered(), self::text($answer, 'violations', 0, 'path')]);
        $answer = $this->json(
            'PUT', '/api/revisions/'.Uuid::v7()->toRfc4122(), ['device' => $other, 'letter' => 'B', 'parent' => $this->records['revision']],
        );
        self::assertSame(422, $this->answered(), json_encode($answer) ?: '');
    }

    private function become(string $who, bool $fresh = true): void
    {
        if ($who === 'stranger') {
            $this->client->getCookieJar()->clear();
            $this->fetchToken();
        } elseif ($who === 'elsewhere') {
            if ($fresh) {
                $this->newWorkspace('Elsewhere', ['elsewhere@example.test' => Role::Lead]);
            }
            $this->signIn('elsewhere@example.test');
        } else {
            $this->signIn($who.'@example.test');
        }
    }
}
