<?php

declare(strict_types=1);

namespace Lustrum\Tests\App;

use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Doctrine\Persistence\ManagerRegistry;
use Lustrum\Account\SignedIn;
use Lustrum\Account\User;
use Lustrum\Http\Door\Needs;
use Lustrum\Http\Door\Takes;
use Lustrum\Http\Record\RecordRoutes;
use Lustrum\Record\Kind;
use Lustrum\Record\Registry;
use Symfony\Component\Routing\Route;
use Symfony\Component\Routing\RouterInterface;
use Symfony\Component\Uid\Uuid;

/**
 * Every route and method, with a real record of every kind and a body that does what the route is for: made from the routes
 * and the registry, so that a new one is in it without a line here, or fails until it has its body.
 */
abstract class EveryRoute extends ApiTestCase
{
    /** What can only be made, and not written over. */
    private const MADE_ANEW = ['run', 'reading', 'sheet', 'decision'];

    /** @var array<string, string> a real record of each kind, by its name */
    protected array $records = [];

    /** @var array<string, string> others that some routes want, by what they are */
    protected array $others = [];

    /** @var array<string, string> another browser of each person */
    protected array $places = [];

    /** Somebody who serves panels, so that everybody else may rate. */
    private string $server = '';

    /** Somebody who is in the workspace and may be taken out. */
    private string $person = '';

    /** @return iterable<string, array{string, string, Route, string}> method, address with real identifiers, route, its name */
    protected function every(): iterable
    {
        foreach (self::service(RouterInterface::class)->getRouteCollection() as $named => $route) {
            foreach ($route->getMethods() as $method) {
                foreach ($this->addresses($named, $route) as $url) {
                    yield $method.' '.$url => [$method, $url, $route, $named];
                }
            }
        }
    }

    /**
     * Asks, and undoes whatever came of it, so that the next finds what this one found.
     *
     * @return array<array-key, mixed>
     */
    protected function ask(string $method, string $url, Route $route, string $named): array
    {
        $db = self::service(Connection::class);
        $level = $db->getTransactionNestingLevel();
        $db->beginTransaction();
        try {
            return $this->send($method, $url, $route, $this->body($method, $route, $named));
        } finally {
            while ($db->getTransactionNestingLevel() > $level) {
                $db->rollBack();
            }
            self::service(ManagerRegistry::class)->resetManager();
        }
    }

    /**
     * @param array<array-key, mixed> $body
     *
     * @return array<array-key, mixed>
     */
    private function send(string $method, string $url, Route $route, array $body): array
    {
        $takes = Needs::of($route)?->takes;
        if ($takes === Takes::Form) {
            return $this->upload($url, $this->picture(60), array_map(strval(...), array_filter($body, is_string(...))), 'P2.jpg');
        }
        $answer = $this->json($method, $url, $takes === Takes::Nothing ? null : $body);
        if ($answer === [] && $this->answered() < 300) {
            // A file, which is given out piece by piece.
            $this->client->getInternalResponse()->getContent();
        }

        return $answer;
    }

    /** @return iterable<string> each address of a route, with real identifiers */
    private function addresses(string $named, Route $route): iterable
    {
        $path = $route->getPath();
        if (str_contains($path, '{kind}')) {
            foreach ($this->records as $kind => $id) {
                yield strtr($path, ['{kind}' => $kind, '{id}' => $id]);
            }

            return;
        }
        $plural = explode('/', $path)[2];
        $kinds = array_filter(self::service(Registry::class)->kinds(), static fn (Kind $k): bool => $k->plural === $plural);
        $kind = array_key_first($kinds);
        $anew = array_map(static fn (string $k): string => RecordRoutes::PUT.$k, self::MADE_ANEW);
        $new = in_array($named, $anew, true) || Needs::of($route)?->takes === Takes::Form;
        $id = match (true) {
            $new => Uuid::v7()->toRfc4122(),
            isset($this->others[$named]) => $this->others[$named],
            $kind !== null => $this->records[$kind],
            $plural === 'signed-in' => $this->others['elsewhere signed in'],
            default => $this->workspace,
        };
        yield strtr($path, ['{id}' => $id, '{person}' => $this->person])
            .($path === '/api/revisions/{id}/runs' ? '?metric='.$this->records['metric'] : '');
    }

    /** @return array<array-key, mixed> a body that does what the route is for */
    protected function body(string $method, Route $route, string $named): array
    {
        $kind = array_key_first(array_filter(
            self::service(Registry::class)->kinds(), static fn (Kind $k): bool => $named === RecordRoutes::PUT.$k->name,
        ));
        if ($kind !== null) {
            return $this->sound($kind) + (in_array($kind, self::MADE_ANEW, true) ? [] : ['version' => 1]);
        }

        return $this->own($method.' '.$route->getPath()) ?? [
            'because' => 'x', 'version' => 1, 'id' => Uuid::v7()->toRfc4122(), 'text' => '41 N',
            'sum' => 'drop', 'inputs' => [['name' => 'height', 'text' => '1 m'], ['name' => 'mass', 'text' => '1 kg']],
            'revision' => $this->records['revision'], 'workspace' => $this->workspace, 'name' => 'P2.jpg', 'camera' => 'Phone',
        ];
    }

    /** @return array<array-key, mixed>|null of a route that wants one of its own */
    private function own(string $what): ?array
    {
        $new = Uuid::v7()->toRfc4122();

        return match ($what) {
            'POST /api/session' => ['email' => 'lead@example.test', 'password' => self::PASSWORD],
            'POST /api/password' => ['present' => self::PASSWORD, 'new' => 'a long enough word too'],
            'PUT /api/workspaces/{id}/members' => [
                'name' => 'New', 'email' => 'new@example.test', 'role' => 'viewer', 'password' => 'a long enough word too',
            ],
            'POST /api/workspaces/{id}/import' => [
                'format' => 'lustrum-device', 'version' => 3, 'device' => ['id' => $new, 'name' => 'Brought in'],
            ],
            'POST /api/workspaces/{id}/devices-from' => ['id' => $new, 'name' => 'Like it', 'design' => 'a drawing', 'reason' => 'x'],
            'POST /api/workspaces/{id}/heap/known' => ['sha256' => [str_repeat('ab', 32)]],
            'POST /api/heapfiles/{id}/keep' => ['run' => $this->records['run'], 'photo' => $new],
            'POST /api/heapfiles/{id}/clock' => ['truly' => '2026-03-02T14:00:00Z'],
            'POST /api/devices/{id}/modes' => ['mode' => 'Broke', 'to' => 'Snapped'],
            'POST /api/devices/{id}/methods' => ['id' => $new, 'method' => $this->others['method of another']],
            'POST /api/methods/{id}/plan' => ['revision' => $this->records['revision'], 'layout' => ['kind' => 'free']],
            'POST /api/readings/preview' => ['run' => $this->records['run'], 'channel' => 'push', 'text' => '41 N'],
            'POST /api/readings/{id}/amend' => ['text' => '42 N', 'reason' => 'x', 'version' => 1],
            'POST /api/runs/{id}/amend' => ['outcome' => 'failed', 'reason' => 'x', 'version' => 2],
            'POST /api/workspaces/{id}/tries' => ['run' => $new, 'what' => 'handle pulled 412 N', 'device' => 'Something new'],
            'POST /api/runs/{id}/take-up' => ['taken' => [['text' => '12 mm', 'unit' => 'mm', 'name' => 'droop']]],
            'POST /api/revisions/{id}/readings/together' => [
                'channel' => 'push', 'unit' => 'kgf', 'reason' => 'x', 'isTry' => true,
            ],
            'POST /api/runs/{id}/tried-on' => ['state' => 'mockup'],
            'POST /api/trials/{id}/rest' => ['trial' => $new],
            'POST /api/workings/{id}/hand-over' => ['parameter' => $this->others['speed']],
            'POST /api/panels/{id}/take-back' => ['password' => self::PASSWORD],
            default => null,
        };
    }

    /** @return array<string, mixed> what a record of a kind is written from */
    protected function sound(string $kind): array
    {
        $of = static fn (string ...$kinds): array => array_flip($kinds);
        $refs = array_intersect_key($this->records, $of('device', 'revision', 'method', 'trial', 'run', 'failure'));

        return match ($kind) {
            'device' => ['workspace' => $this->workspace, 'name' => 'x'],
            'cause' => ['text' => 'x'] + $refs,
            'decision' => ['revision' => $this->others['undecided'], 'next' => Uuid::v7()->toRfc4122(), 'letter' => 'Z', 'note' => 'other'],
            'parameter' => ['name' => 'arm', 'text' => '3 mm'] + $refs,
            'course' => ['name' => 'Warmth', 'text' => "0; 20\n60; 40"] + $refs,
            'outing' => ['workspace' => $this->workspace, 'place' => 'Lane'],
            'heapfile' => $this->lying(str_repeat('cd', 32)),
            'camera' => ['workspace' => $this->workspace, 'name' => 'Other phone'],
            'instrument' => ['workspace' => $this->workspace, 'name' => 'Hook', 'unit' => 'N'],
            'panel' => $this->panel($this->records['trial'] ?? ''),
            'sheet' => ['panel' => $this->records['panel'] ?? ''] + (array) json_decode($this->others['rated'], true),
            'happening' => ['article' => $this->records['article'] ?? '', 'kind' => 'moved'],
            'working' => [
                'title' => 'Fall', 'sum' => 'drop', 'output' => 'speed',
                'inputs' => [['name' => 'height', 'text' => '1 m'], ['name' => 'mass', 'text' => '1 kg']],
                'revision' => $this->records['revision'] ?? '',
            ],
            'sum' => ['workspace' => $this->workspace, 'name' => 'Thrice', 'formula' => 'a*3', 'variables' => [['name' => 'a']]],
            'making' => ['article' => $this->records['article'] ?? '', 'name' => 'Glue'],
            'document' => ['name' => 'plate.svg', 'role' => 'drawing'] + $refs,
            'run' => ['trial' => $this->records['trial'] ?? '', 'article' => $this->records['article'] ?? ''],
            'reading' => ['run' => $this->others['bare'] ?? '', 'channel' => 'push', 'text' => '41.0 N'],
            'closing' => ['failure' => $this->records['failure'] ?? '', 'why' => 'It was the stone'],
            'unrelated' => ['revision' => $this->records['revision'] ?? '', 'metric' => 'push force', 'difference' => 'part:belt'],
            'spending' => ['revision' => $this->records['revision'] ?? '', 'what' => 'Wood', 'cost' => 5.0],
            default => [
                'what' => 'x', 'mode' => 'x', 'letter' => 'Q', 'serial' => 'x', 'statement' => 'x', 'metric' => 'push force', 'unit' => 'N',
                'text' => '41 N', 'name' => 'x',
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
            'trial' => $trial, 'serials' => ['Q-1', 'Q-2'], 'raters' => ['Odile'], 'serves' => $this->server,
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

    protected function world(): void
    {
        $bench = $this->bench();
        $this->server = self::text($this->json('PUT', '/api/workspaces/'.$this->workspace.'/members', [
            'name' => 'Server', 'email' => 'server@example.test', 'role' => 'member', 'password' => self::PASSWORD,
        ]), 'id');
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
            'workspace' => $this->workspace, 'name' => 'P1.jpg', 'camera' => 'Phone', 'modified' => '2026-03-02T14:00:00Z',
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
            'unrelated' => $this->put('unrelated', ['revision' => $bench->a, 'metric' => 'push force', 'difference' => 'part:belt']),
            'spending' => $this->put('spendings', ['revision' => $bench->a, 'what' => 'Wood', 'cost' => 4.0]),
            'panel' => $panel = $this->put('panels', $this->panel($trial)),
            'sheet' => $this->put('sheets', ['panel' => $panel] + $this->rated($panel)),
            'happening' => $this->put('happenings', ['article' => $bench->unitA, 'kind' => 'moved']),
            'making' => $this->put('makings', ['article' => $bench->unitA, 'name' => 'Glue', 'minutes' => 12.0]),
            'closing' => $this->put('closings', ['failure' => $failure, 'why' => 'It was the stone']),
            'cause' => $this->put('causes', ['failure' => $failure, 'text' => 'Stone']), 'observation' => $this->put(
                'observations', ['revision' => $bench->a, 'text' => 'Squeaks'],
            ),
        ];
        self::assertNotSame('', $chosen);
        $this->more($bench, $run);
        $this->letWorkersWork();
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

    /** What some routes want beside a record of each kind. */
    private function more(Bench $bench, string $run): void
    {
        $this->json('PUT', '/api/runs/'.$run, [
            'trial' => $this->records['trial'], 'article' => $bench->unitA, 'outcome' => 'held', 'version' => 1,
        ]);
        $bare = $this->put('runs', ['trial' => $this->records['trial'], 'article' => $bench->unitA]);
        $another = $this->put('devices', ['workspace' => $this->workspace, 'name' => 'Plover']);
        $ladder = ['kind' => 'ladder', 'repeats' => 2, 'levels' => [['name' => 'height', 'levels' => ['20 cm', '40 cm']]]];
        $drop = $this->put('methods', [
            'device' => $bench->device, 'name' => 'Drop', 'safety' => ['abort' => 'When it hurts.'],
            'factors' => [['name' => 'height', 'unit' => 'cm']],
        ]);
        $this->put('parameters', ['revision' => $bench->b, 'name' => 'arm', 'text' => '3 mm']);
        $this->json('POST', '/api/articles/'.$bench->unitB.'/changed', ['text' => 'arm from 3 mm to 4 mm']);
        $changed = $this->put('trials', ['revision' => $bench->b, 'method' => $bench->method, 'name' => 'Changed']);
        $this->put('runs', ['trial' => $changed, 'article' => $bench->unitB, 'outcome' => 'held']);
        $undecided = $this->put('revisions', ['device' => $bench->device, 'letter' => 'U', 'parent' => $bench->a]);
        $this->put('candidates', ['revision' => $undecided, 'what' => 'Lighter', 'choice' => 'in', 'reason' => 'x']);
        $this->others = [
            'bare' => $bare, 'undecided' => $undecided,
            'method of another' => $this->put('methods', ['device' => $another, 'name' => 'Pull', 'safety' => ['abort' => 'When it hurts.']]),
            'speed' => $this->put('parameters', ['revision' => $bench->a, 'name' => 'speed', 'text' => '3 m/s']),
            'rated' => json_encode($this->rated($this->records['panel'])) ?: '',
            'elsewhere signed in' => $this->signedInElsewhere(),
            'lustrum_http_try_try_rest' => $this->put('trials', [
                'revision' => $bench->a, 'method' => $drop, 'name' => 'Ladder', 'layout' => $ladder,
            ]),
            'lustrum_http_record_gather_gather' => $bench->unitB,
            'lustrum_http_try_try_takeup' => $bare,
            'lustrum_http_try_try_triedon' => $this->put('runs', ['trial' => $this->records['trial']]),
        ];
    }

    /** Another browser of whoever is asking, which may be signed out. */
    private function signedInElsewhere(): string
    {
        $em = self::service(EntityManagerInterface::class);
        $place = null;
        foreach (['lead', 'member', 'viewer'] as $who) {
            $user = $em->getRepository(User::class)->findOneBy(['email' => $who.'@example.test']);
            $em->persist($place = new SignedIn($user ?? throw new \LogicException($who), 'another browser', new \DateTimeImmutable()));
            $this->places[$who] = $place->id()->toRfc4122();
        }
        $em->flush();

        return $this->places['lead'];
    }
}
