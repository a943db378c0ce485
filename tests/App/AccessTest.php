<?php

declare(strict_types=1);

namespace Lustrum\Tests\App;

use Lustrum\Account\Role;
use Lustrum\Record\Kind;
use Lustrum\Record\Registry;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Routing\Route;
use Symfony\Component\Routing\RouterInterface;
use Symfony\Component\Uid\Uuid;

/**
 * Every route and method, with a real record of every kind, as everybody who may come: made from the routes and the
 * registry, so that a new one is in it without a line here.
 */
final class AccessTest extends ApiTestCase
{
    /** Open to anybody, by address and method. */
    private const OPEN = [
        '/api/session' => ['GET', 'POST', 'DELETE'], '/api/first-account' => ['POST'], '/api/health' => ['GET'], '/api/docs' => ['GET'],
    ];

    /** Everybody who is signed in, with what is their own or nobody's. */
    private const OWN = ['/api/signed-in', '/api/signed-in/{id}', '/api/password', '/api/explanations'];

    /** Leads only. */
    private const LEAD = ['PUT /api/workspaces/{id}/members', 'DELETE /api/workspaces/{id}/members/{person}'];

    /** @var array<string, string> a real record of each kind, by its name */
    private array $records = [];

    private string $person = '';

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
        foreach (self::service(RouterInterface::class)->getRouteCollection() as $route) {
            foreach ($route->getMethods() as $method) {
                if (in_array($method, self::OPEN[$route->getPath()] ?? [], true)) {
                    continue;
                }
                $expected = $this->expected($who, $method, $route->getPath());
                foreach ($this->addresses($route) as $name => $url) {
                    $answer = $this->ask($method, $url, $name, $route);
                    $status = $this->answered();
                    if ($status === 204 && str_ends_with($url, '/hand-over')) {
                        // Nothing else could be tried from here on.
                        $this->json('POST', str_replace('hand-over', 'take-back', $url), ['password' => self::PASSWORD]);
                    }
                    $ok = $expected === 200 ? $status >= 200 && $status < 300 || in_array(
                        $status, [304, 409, 422], true,
                    ) : $status === $expected;
                    self::assertTrue(
                        $ok,
                        sprintf(
                            '%s %s (%s) as %s: %d instead of %d. %s', $method, $route->getPath(), $name, $who, $status, $expected,
                            json_encode($answer),
                        ),
                    );
                    if ($expected !== 200) {
                        self::assertArrayHasKey('detail', $answer, $method.' '.$route->getPath());
                    }
                    ++$tried;
                }
            }
        }
        self::assertGreaterThan(60, $tried);
    }

    /** What was written by those who may write is there, and by nobody else. */
    public function testARefusedWriteLeavesNothing(): void
    {
        $this->world();
        $device = $this->records['device'];
        foreach (['stranger', 'viewer', 'elsewhere'] as $who) {
            $this->become($who);
            $this->json('PUT', '/api/metrics/'.Uuid::v7()->toRfc4122(), ['device' => $device, 'name' => 'smuggled by '.$who]);
            self::assertGreaterThanOrEqual(400, $this->answered());
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

    private function become(string $who): void
    {
        if ($who === 'stranger') {
            $this->client->getCookieJar()->clear();
            $this->fetchToken();
        } elseif ($who === 'elsewhere') {
            $this->newWorkspace('Elsewhere', ['elsewhere@example.test' => Role::Lead]);
            $this->signIn('elsewhere@example.test');
        } else {
            $this->signIn($who.'@example.test');
        }
    }

    private function expected(string $who, string $method, string $path): int
    {
        if ($who === 'stranger') {
            return 401;
        }
        if (in_array($path, self::OWN, true)) {
            return $path === '/api/signed-in/{id}' ? 404 : 200;
        }
        if ($who === 'elsewhere') {
            // What they ask for is named in the body, so the answer names the field.
            return in_array($method.' '.$path, ['POST /api/readings/preview', 'POST /api/photos/{id}', 'POST /api/documents/{id}'], true) ? 422 : 404;
        }
        if (in_array($method.' '.$path, self::LEAD, true)) {
            return $who === 'lead' ? 200 : 403;
        }

        return $method === 'GET' || $who !== 'viewer' ? 200 : 403;
    }

    /** @return iterable<string, string> each address of a route, with real identifiers */
    private function addresses(Route $route): iterable
    {
        $path = $route->getPath();
        if (str_contains($path, '{kind}')) {
            foreach ($this->records as $kind => $id) {
                yield $kind => strtr($path, ['{kind}' => $kind, '{id}' => $id]);
            }

            return;
        }
        $plural = explode('/', $path)[2];
        $kinds = array_filter(self::service(Registry::class)->kinds(), static fn (Kind $k): bool => $k->plural === $plural);
        $name = array_key_first($kinds);
        $id = $name !== null ? $this->records[$name] : $this->workspace;
        yield $name ?? $plural => strtr(
            $path, ['{id}' => $id, '{person}' => $this->person],
        ).($path === '/api/revisions/{id}/runs' ? '?metric='.$this->records['metric'] : '');
    }

    /** @return array<array-key, mixed> */
    private function ask(string $method, string $url, string $name, Route $route): array
    {
        if (str_ends_with($route->getPath(), '.csv') || str_ends_with($route->getPath(), '.json') || str_ends_with($route->getPath(), '/picture')) {
            $this->client->request($method, $url);
            $decoded = json_decode((string) $this->client->getResponse()->getContent(), true);

            return is_array($decoded) ? $decoded : [];
        }
        if ($method === 'GET') {
            return $this->json('GET', $url);
        }
        if ($method === 'POST' && in_array($route->getPath(), ['/api/photos/{id}', '/api/documents/{id}'], true)) {
            return $this->upload($url, $this->picture(), ['revision' => $this->records['revision']]);
        }
        if ($method === 'POST' && $route->getPath() === '/api/heapfiles/{id}') {
            return $this->upload($url, $this->picture(60), ['workspace' => $this->workspace, 'name' => 'P2.jpg']);
        }

        // A person of another workspace asks with what is there: the body itself is sound.
        return $this->json($method, $url, $method === 'DELETE' ? null : $this->body($name, $route));
    }

    /** @return array<string, mixed> */
    private function body(string $name, Route $route): array
    {
        $more = [
            'photo' => '0190a4b0-0000-7000-8000-00000000000b', 'sha256' => [str_repeat('ab', 32)], 'because' => 'x',
            'id' => '0190a4b0-0000-7000-8000-00000000000a', 'design' => 'x', 'reason' => 'x', 'version' => 1, 'present' => 'x',
            'new' => 'a long enough word too',
            'email' => 'new@example.test', 'role' => 'viewer',
            'password' => 'a long enough word too', 'outcome' => 'held', 'format' => 'none', 'run' => $this->records['run'],
            'method' => $this->records['method'], 'layout' => ['kind' => 'free'], 'channel' => 'push', 'text' => '41 N',
            'name' => 'x', 'taken' => [['text' => '41 N', 'unit' => 'N', 'name' => 'push force']],
            'sum' => 'drop', 'inputs' => [['name' => 'height', 'text' => '1 m'], ['name' => 'mass', 'text' => '1 kg']],
        ];

        return $this->sound($name) + $more + ['route' => $route->getPath()];
    }

    /** @return array<string, mixed> what a record of a kind is written from */
    private function sound(string $kind): array
    {
        $of = static fn (string ...$kinds): array => array_flip($kinds);
        $refs = array_intersect_key($this->records, $of('device', 'revision', 'method', 'trial', 'run', 'failure'));

        return match ($kind) {
            'device' => ['workspace' => $this->workspace, 'name' => 'x'],
            'cause' => ['text' => 'x'] + $refs,
            'decision' => ['next' => Uuid::v7()->toRfc4122(), 'letter' => 'Z', 'note' => 'other'] + $refs,
            'parameter' => ['name' => 'arm', 'text' => '3 mm'] + $refs,
            'course' => ['name' => 'Warmth', 'text' => "0; 20\n60; 40"] + $refs,
            'outing' => ['workspace' => $this->workspace, 'place' => 'Lane'],
            'heapfile' => $this->lying(str_repeat('cd', 32)),
            'camera' => ['workspace' => $this->workspace, 'name' => 'Other phone'],
            'instrument' => ['workspace' => $this->workspace, 'name' => 'Hook', 'unit' => 'N'],
            'panel' => $this->panel($this->records['trial'] ?? ''),
            'sheet' => ['panel' => $this->records['panel'] ?? '', 'rater' => 'Odile', 'code' => '100'],
            'happening' => ['article' => $this->records['article'] ?? '', 'kind' => 'moved'],
            'working' => [
                'title' => 'Fall', 'sum' => 'drop', 'output' => 'speed',
                'inputs' => [['name' => 'height', 'text' => '1 m'], ['name' => 'mass', 'text' => '1 kg']],
                'revision' => $this->records['revision'] ?? '',
            ],
            'sum' => ['workspace' => $this->workspace, 'name' => 'Thrice', 'formula' => 'a*3', 'variables' => [['name' => 'a']]],
            'making' => ['article' => $this->records['article'] ?? '', 'name' => 'Glue'],
            'document' => ['name' => 'plate.svg', 'role' => 'drawing'] + $refs,
            default => [
                'what' => 'x', 'mode' => 'x', 'letter' => 'Q', 'serial' => 'x', 'statement' => 'x', 'metric' => 'push force', 'unit' => 'N',
                'text' => '41 N',
            ] + $refs,
        };
    }

    /** @return array<string, mixed> a clip that stays where it lies */
    private function lying(string $sha256): array
    {
        return [
            'workspace' => $this->workspace, 'name' => 'G1.mp4', 'camera' => 'Phone', 'modified' => '2026-03-02T14:00:00Z',
            'lies' => 'card 3', 'sha256' => $sha256,
        ];
    }

    /** @return array<string, mixed> */
    private function panel(string $trial): array
    {
        return [
            'trial' => $trial, 'serials' => ['Q-1', 'Q-2'], 'raters' => ['Odile'],
            'scales' => [['channel' => 'push', 'low' => 'light']],
        ];
    }

    /** @return array<string, mixed> the first that is served */
    private function rated(string $panel): array
    {
        $code = self::text($this->json('GET', '/api/panels/'.$panel.'/rate?rater=Odile'), 'code');

        return ['rater' => 'Odile', 'code' => $code, 'ratings' => [['name' => 'push', 'text' => '41 N']]];
    }

    /** @param int<1, 100> $width */
    private function picture(int $width = 40): string
    {
        $file = sys_get_temp_dir().'/lustrum-access-'.getmypid().'.jpg';
        imagejpeg(imagecreatetruecolor($width, 30), $file);

        return $file;
    }

    private function world(): void
    {
        $bench = $this->bench();
        $trial = $this->put('trials', ['revision' => $bench->a, 'method' => $bench->method, 'name' => 'Pushing']);
        $run = $this->put('runs', ['trial' => $trial, 'article' => $bench->unitA]);
        $reading = $this->put('readings', ['run' => $run, 'channel' => 'push', 'text' => '41.0 N']);
        $failure = $this->put('failures', ['revision' => $bench->a, 'mode' => 'Broke', 'run' => $run]);
        $candidate = $this->put('candidates', ['revision' => $bench->a, 'what' => 'Thicker', 'choice' => 'wait', 'reason' => 'x']);
        $chosen = $this->put('candidates', ['revision' => $bench->b, 'what' => 'Wider', 'choice' => 'in', 'reason' => 'x']);
        $decision = $this->put('decisions', ['revision' => $bench->b, 'next' => Uuid::v7()->toRfc4122(), 'letter' => 'C']);
        foreach (['Q-1', 'Q-2'] as $serial) {
            $this->put('articles', ['revision' => $bench->a, 'serial' => $serial]);
        }
        $photo = Uuid::v7()->toRfc4122();
        $this->upload('/api/photos/'.$photo, $this->picture(), ['revision' => $bench->a]);
        self::assertSame(201, $this->answered());
        $heaped = Uuid::v7()->toRfc4122();
        $this->upload('/api/heapfiles/'.$heaped, $this->picture(50), [
            'workspace' => $this->workspace, 'name' => 'P1.jpg', 'camera' => 'Phone',
        ]);
        self::assertSame(201, $this->answered());
        $metric = self::text($this->json('GET', '/api/devices/'.$bench->device.'/brief'), 'measured', 0, 'id');
        $this->records = [
            'device' => $bench->device, 'metric' => $metric, 'requirement' => $bench->requirement, 'revision' => $bench->a,
            'method' => $bench->method,
            'course' => $this->put('courses', ['run' => $run, 'name' => 'Warmth', 'text' => "0; 20\n60; 40"]),
            'outing' => $this->put('outings', ['workspace' => $this->workspace, 'place' => 'Lane', 'trials' => [$trial]]),
            'heapfile' => $heaped,
            'camera' => $this->put('cameras', ['workspace' => $this->workspace, 'name' => 'Phone']),
            'instrument' => $this->put('instruments', ['workspace' => $this->workspace, 'name' => 'Hook', 'unit' => 'N']),
            'article' => $bench->unitA, 'trial' => $trial, 'run' => $run, 'reading' => $reading, 'failure' => $failure,
            'candidate' => $candidate, 'decision' => $decision,
            'photo' => $photo, 'parameter' => $this->put('parameters', ['revision' => $bench->a, 'name' => 'arm', 'text' => '3 mm']),
            'part' => $this->put('parts', ['revision' => $bench->a, 'name' => 'Arm']), 'change' => $this->put(
                'changes', ['revision' => $bench->b, 'what' => 'Thicker'],
            ),
            'use' => $this->put('uses', ['device' => $bench->device, 'name' => 'Beds']),
            'step' => $this->put('steps', ['device' => $bench->device, 'name' => 'Carry']),
            'person' => $this->put('persons', ['device' => $bench->device, 'name' => 'Odile']),
            'working' => $this->put('workings', [
                'revision' => $bench->a, 'title' => 'Fall', 'sum' => 'drop', 'output' => 'speed',
                'inputs' => [['name' => 'height', 'text' => '1 m'], ['name' => 'mass', 'text' => '1 kg']],
            ]),
            'sum' => $this->put('sums', [
                'workspace' => $this->workspace, 'name' => 'Twice', 'formula' => 'a*2', 'variables' => [['name' => 'a']],
            ]),
            'assumption' => $this->put('assumptions', ['device' => $bench->device, 'text' => 'It floats']),
            'document' => $this->document($bench->a, '<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"/>', 'plate.svg'),
            'spending' => $this->put('spendings', ['revision' => $bench->a, 'what' => 'Wood', 'cost' => 4.0]),
            'panel' => $panel = $this->put('panels', $this->panel($trial)),
            'sheet' => $this->put('sheets', ['panel' => $panel] + $this->rated($panel)),
            'happening' => $this->put('happenings', ['article' => $bench->unitA, 'kind' => 'moved']),
            'making' => $this->put('makings', ['article' => $bench->unitA, 'name' => 'Glue', 'minutes' => 12.0]),
            'cause' => $this->put('causes', ['failure' => $failure, 'text' => 'Stone']), 'observation' => $this->put(
                'observations', ['revision' => $bench->a, 'text' => 'Squeaks'],
            ),
        ];
        self::assertNotSame('', $chosen);
        self::assertSame(
            [], array_diff(array_keys(self::service(Registry::class)->kinds()), array_keys($this->records)),
            'A kind is missing in the matrix.',
        );
        $people = (array) $this->json('GET', '/api/workspaces/'.$this->workspace.'/members')['people'];
        foreach ($people as $i => $person) {
            if (self::text((array) $person, 'email') === 'viewer@example.test') {
                $this->person = self::text($people, $i, 'id');
            }
        }
    }
}
