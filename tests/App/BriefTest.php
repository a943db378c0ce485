<?php

declare(strict_types=1);

namespace Lustrum\Tests\App;

use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Uid\Uuid;

/** What a device must do and how it is measured: what can be written down, what is refused and where. */
final class BriefTest extends ApiTestCase
{
    private Bench $bench;

    protected function setUp(): void
    {
        parent::setUp();
        $this->bench = $this->bench();
    }

    /** @return iterable<string, array{string, array<string, mixed>}> sentence, and what of its reading matters */
    public static function wishes(): iterable
    {
        yield 'what is measured already, on a soil that the method knows' => ['push force at most 45 N on moist soil', [
            'statement' => 'Push force at most 45 N on moist soil', 'metric' => 'push force', 'direction' => 'atMost',
            'limit' => 45.0, 'unit' => 'N',
            'kind' => 'mean', 'conditions' => ['soil=moist'], 'asks' => [],
            'read' => 'push force, as the mean over runs: at most 45 N, soil moist.',
            'takes' => 'Three runs at least, more where they spread. At 95 % confidence.',
        ]];
        yield 'from a level on' => ['push force under 50 N at moisture 20 % or more', [
            'conditions' => ['moisture>=20 %'], 'limit' => 50.0, 'asks' => [],
        ]];
        yield 'on every one' => ['holds 400 N on every one', [
            'metric' => 'push force', 'kind' => 'every',
            'takes' => '29 articles without a failure show 90 % of all articles, or fewer whose values lie well inside. At 95 % confidence.',
        ]];
        yield 'something new, and no way that is good' => ['Noise 60 dB', [
            'direction' => null,
            'asks' => ['At least, or at most?', '“noise” is new: is it something that is measured already, under another name?'],
        ]];
        yield 'a share' => ['survives in 9 of 10 drops', [
            'kind' => 'rate', 'limit' => 90.0,
            'takes' => '29 tries without a failure show 90 %; with a failure it takes more. At 95 % confidence.',
        ]];
        yield 'a constraint' => ['Nothing is drilled into the bench', [
            'kind' => 'check', 'asks' => [], 'takes' => 'One look shows it. At 95 % confidence.',
        ]];
        yield 'nothing' => ['nice to have', ['read' => '', 'limit' => null, 'statement' => 'Nice to have']];
    }

    /** @param array<string, mixed> $expected */
    #[DataProvider('wishes')]
    public function testASentenceIsReadAsARequirement(string $sentence, array $expected): void
    {
        $wish = $this->json('POST', '/api/devices/'.$this->bench->device.'/wish', ['text' => $sentence]);
        self::assertSame(200, $this->answered());
        self::assertEquals($expected, array_intersect_key($wish, $expected));
        self::assertCount(
            1, (array) $this->json('GET', '/api/devices/'.$this->bench->device.'/brief')['requirements'],
            'Nothing was kept of it.',
        );
    }

    /** @return iterable<string, array{array<string, mixed>, int, string}> requirement, status, place */
    public static function requirements(): iterable
    {
        $mean = ['metric' => 'mass', 'unit' => 'kg', 'limit' => 4.5, 'direction' => 'atMost'];
        yield 'at most so much on the average' => [$mean, 201, ''];
        yield 'every one' => [['kind' => 'every', 'coverage' => 0.95] + $mean, 201, ''];
        yield 'a share' => [['kind' => 'rate', 'unit' => '%', 'limit' => 90.0] + $mean, 201, ''];
        yield 'a share as a number' => [['kind' => 'rate', 'unit' => '', 'limit' => 0.9] + $mean, 201, ''];
        yield 'a share over one' => [['kind' => 'rate', 'unit' => '', 'limit' => 90.0] + $mean, 422, 'limit'];
        yield 'a share over a hundred' => [['kind' => 'rate', 'unit' => '%', 'limit' => 190.0] + $mean, 422, 'limit'];
        yield 'a check' => [['kind' => 'check', 'unit' => '', 'limit' => 1.0] + $mean, 201, ''];
        yield 'a limit that is a plain number' => [['unit' => '', 'metric' => 'grip score'] + $mean, 201, ''];
        yield 'a limit without the unit of its metric' => [['unit' => '', 'metric' => 'push force'] + $mean, 422, 'unit'];
        yield 'a unit that nobody knows' => [['unit' => 'stones'] + $mean, 422, 'unit'];
        yield 'a plain number' => [['unit' => 'count', 'metric' => 'seeds lost'] + $mean, 201, ''];
        yield 'a metric that is measured in something else' => [['metric' => 'push force'] + $mean, 422, 'unit'];
        yield 'no metric' => [['metric' => ' '] + $mean, 422, 'metric'];
        yield 'a coverage of everything' => [['kind' => 'every', 'coverage' => 1.0] + $mean, 422, 'coverage'];
        yield 'a coverage of nothing' => [['kind' => 'every', 'coverage' => 0.0] + $mean, 422, 'coverage'];
        yield 'no such direction' => [['direction' => 'about'] + $mean, 422, 'direction'];
        yield 'no such kind' => [['kind' => 'mostly'] + $mean, 422, 'kind'];
        yield 'a limit that is a word' => [['limit' => 'much'] + $mean, 422, 'limit'];
        yield 'changes it depends on' => [['dependsOn' => ['firmware', 'shape']] + $mean, 201, ''];
        yield 'from a level on' => [['conditions' => ['moisture>=20 %']] + $mean, 201, ''];
        yield 'from nothing on' => [['conditions' => ['moisture>=']] + $mean, 422, 'conditions'];
        yield 'a condition without its word' => [['conditions' => ['soil']] + $mean, 422, 'conditions'];
        yield 'from a level that is none' => [['conditions' => ['moisture>=rather wet']] + $mean, 422, 'conditions'];
        yield 'up to a level in an unknown unit' => [['conditions' => ['moisture<=3 floods']] + $mean, 422, 'conditions'];
        yield 'conditions to be covered' => [['conditions' => ['soil=moist', 'soil=dry']] + $mean, 201, ''];
    }

    /** @param array<string, mixed> $with */
    #[DataProvider('requirements')]
    public function testARequirement(array $with, int $status, string $path): void
    {
        $answer = $this->json(
            'PUT', '/api/requirements/'.Uuid::v7()->toRfc4122(), $with + ['device' => $this->bench->device, 'statement' => 'It must'],
        );
        self::assertSame($status, $this->answered(), json_encode($answer) ?: '');
        if ($status === 422) {
            self::assertStringContainsString($path, self::text($answer, 'violations', 0, 'path'));
            self::assertNotSame('', self::text($answer, 'detail'));
        }
        $statements = array_map(
            static fn (mixed $r): string => self::text((array) $r, 'requirement', 'statement').self::text((array) $r, 'statement'),
            (array) $this->json('GET', '/api/devices/'.$this->bench->device.'/brief')['requirements'],
        );
        self::assertSame($status === 201, str_contains(implode('|', $statements), 'It must'));
    }

    public function testAUnitThatWasMistypedIsPutRight(): void
    {
        $id = $this->put(
            'requirements',
            [
                'device' => $this->bench->device, 'statement' => 'Light', 'metric' => 'pull', 'unit' => 'kg', 'limit' => 4.0,
                'direction' => 'atMost',
            ],
        );
        $this->put('methods', [
            'device' => $this->bench->device, 'name' => 'Pull', 'safety' => ['abort' => 'x'], 'channels' => [
                ['key' => 'pull', 'metric' => 'pull', 'unit' => 'N'],
            ],
        ]);
        $sent = [
            'device' => $this->bench->device, 'statement' => 'Light', 'metric' => 'pull', 'limit' => 40.0, 'direction' => 'atMost',
            'version' => 1,
        ];
        $answer = $this->json('PUT', '/api/requirements/'.$id, ['unit' => 'mm'] + $sent);
        self::assertSame([422, 'unit'], [$this->answered(), self::text($answer, 'violations', 0, 'path')]);
        self::assertStringContainsString('“pull” is read in N; mm measures length', self::text($answer, 'violations', 0, 'message'));
        $this->json('PUT', '/api/requirements/'.$id, ['unit' => 'lbf'] + $sent);
        self::assertSame(200, $this->answered());
    }

    public function testMetricsAreOneHoweverTheyAreWritten(): void
    {
        foreach (['Push Force', ' push force ', 'PUSH FORCE'] as $name) {
            $this->put(
                'requirements',
                [
                    'device' => $this->bench->device, 'statement' => 'As '.$name, 'metric' => $name, 'unit' => 'lbf', 'limit' => 10.0,
                    'direction' => 'atMost',
                ],
            );
        }
        self::assertCount(1, (array) $this->json('GET', '/api/devices/'.$this->bench->device.'/brief')['measured']);
    }

    public function testARenamedMetricSplitsNothing(): void
    {
        $this->trial($this->bench, $this->bench->b, $this->bench->unitB, [40.0, 41.0, 40.5]);
        $before = $this->json('GET', '/api/revisions/'.$this->bench->b.'/weigh');
        $metric = self::text($this->json('GET', '/api/devices/'.$this->bench->device.'/brief'), 'measured', 0, 'id');
        $this->json('PUT', '/api/metrics/'.$metric, ['device' => $this->bench->device, 'name' => 'shove', 'version' => 1]);
        self::assertSame(200, $this->answered());
        $after = $this->json('GET', '/api/revisions/'.$this->bench->b.'/weigh');
        $plain = static fn (array $sheet): string => str_ireplace(
            ['push force', 'shove'], 'x', json_encode($sheet, JSON_UNESCAPED_UNICODE) ?: '',
        );
        self::assertSame($plain($before), $plain($after));
        self::assertStringContainsString('hove', json_encode($after) ?: '');
    }

    public function testAWithdrawnRequirementAsksNothing(): void
    {
        $this->trial($this->bench, $this->bench->b, $this->bench->unitB, [40.0, 41.0, 40.5]);
        $frame = $this->json('GET', '/api/devices/'.$this->bench->device.'/frame');
        self::assertSame(1, $frame['requirements'] ?? self::at($frame, 'wanted') ?? 1);
        $this->json('POST', '/api/requirements/'.$this->bench->requirement.'/withdraw', ['because' => 'Nobody pushes it']);
        self::assertSame(200, $this->answered());
        self::assertSame([], (array) $this->json('GET', '/api/devices/'.$this->bench->device.'/brief')['requirements']);
        self::assertSame([], (array) self::at($this->json('GET', '/api/devices/'.$this->bench->device.'/frame'), 'spine', 0, 'bar'));
    }

    /** @return iterable<string, array{list<array<string, mixed>>, string}> channels, and where they are wrong; '' where they are sound */
    public static function channels(): iterable
    {
        $pull = ['key' => 'pull', 'metric' => 'pull', 'unit' => 'N'];
        $arm = ['key' => 'arm', 'metric' => 'arm', 'unit' => 'mm'];
        $moment = ['key' => 'moment', 'metric' => 'moment', 'unit' => 'N·m', 'formula' => 'pull * arm'];
        yield 'one' => [[$pull], ''];
        yield 'one worked out from two' => [[$pull, $arm, $moment], ''];
        yield 'the order does not matter' => [[$moment, $arm, $pull], ''];
        yield 'two of one short name' => [[$pull, ['metric' => 'push'] + $pull], 'channels[1].key'];
        yield 'a short name with a space' => [[['key' => 'the pull'] + $pull], 'channels[0].key'];
        yield 'a short name of a digit' => [[['key' => '1st'] + $pull], 'channels[0].key'];
        yield 'no unit' => [[['unit' => ''] + $pull], 'channels[0].unit'];
        yield 'a unit that nobody knows' => [[['unit' => 'oomph'] + $pull], 'channels[0].unit'];
        yield 'limits the wrong way round' => [[['low' => 10, 'high' => 5] + $pull], 'channels[0].high'];
        yield 'limits that are one' => [[['low' => 5, 'high' => 5] + $pull], 'channels[0].high'];
        yield 'limits in another unit' => [[['low' => '1 lbf', 'high' => '50 lbf'] + $pull], ''];
        yield 'a limit of another kind' => [[['low' => '1 mm'] + $pull], 'channels[0].low'];
        yield 'a resolution below nought' => [[['resolution' => -0.1] + $pull], 'channels[0].resolution'];
        yield 'a formula that does not fit its unit' => [[$pull, $arm, ['unit' => 'N'] + $moment], 'channels[2].formula'];
        yield 'a formula that takes 2π twice' => [[
            ['key' => 'n', 'metric' => 'turns', 'unit' => 'rpm'], ['key' => 'r', 'metric' => 'radius', 'unit' => 'm'],
            ['key' => 'v', 'metric' => 'rim speed', 'unit' => 'm/s', 'formula' => '2 * pi * n * r'],
        ], 'channels[2].formula'];
        yield 'a frequency given as an angular speed' => [[
            ['key' => 'n', 'metric' => 'turns', 'unit' => 'Hz'], ['key' => 'w', 'metric' => 'speed', 'unit' => 'rpm', 'formula' => 'n'],
        ], 'channels[1].formula'];
        yield 'a formula of what is not read' => [[$pull, $moment], 'channels[1].formula'];
        yield 'a formula of one that is worked out' => [
            [$pull, $arm, $moment, ['key' => 'twice', 'metric' => 'twice', 'unit' => 'N·m', 'formula' => '2 * moment']],
            'channels[3].formula',
        ];
        yield 'a formula of itself' => [[['formula' => 'pull * 2'] + $pull], 'channels[0].formula'];
        yield 'a formula that adds what cannot be added' => [[$pull, $arm, ['formula' => 'pull + arm'] + $moment], 'channels[2].formula'];
        yield 'a formula that looks outside' => [[$pull, ['formula' => 'constant("PHP_VERSION")'] + $moment], 'channels[1].formula'];
        yield 'a formula that stops' => [[$pull, ['formula' => 'pull *'] + $moment], 'channels[1].formula'];
        yield 'what a stopped run says must be a value or a bound' => [[['whenStopped' => 'held'] + $pull], 'channels[0].whenStopped'];
    }

    /** @param list<array<string, mixed>> $channels */
    #[DataProvider('channels')]
    public function testTheChannelsOfAMethod(array $channels, string $path): void
    {
        $answer = $this->json('PUT', '/api/methods/'.Uuid::v7()->toRfc4122(), [
            'device' => $this->bench->device, 'name' => 'Pull', 'channels' => $channels, 'safety' => ['abort' => 'When it creaks.'],
        ]);
        self::assertSame($path === '' ? 201 : 422, $this->answered(), json_encode($answer) ?: '');
        self::assertSame($path, $path === '' ? '' : self::text($answer, 'violations', 0, 'path'), json_encode($answer) ?: '');
    }

    public function testAMethodThatCanHurtSaysWhenToStop(): void
    {
        $answer = $this->json('PUT', '/api/methods/'.Uuid::v7()->toRfc4122(), [
            'device' => $this->bench->device, 'name' => 'Spin', 'safety' => ['hazards' => 'Flying parts', 'abort' => ''],
        ]);
        self::assertSame(422, $this->answered(), json_encode($answer) ?: '');
        self::assertStringStartsWith('safety', self::text($answer, 'violations', 0, 'path'));
    }

    public function testAMethodEditedGetsANewVersionForRunsToCome(): void
    {
        $this->trial($this->bench, $this->bench->b, $this->bench->unitB, [40.0]);
        $run = self::text($this->json('GET', '/api/revisions/'.$this->bench->b.'/try'), 'trials', 0, 'runs', 0, 'id');
        $before = self::at($this->json('GET', '/api/runs/'.$run), 'asked');
        $this->json('PUT', '/api/methods/'.$this->bench->method, [
            'device' => $this->bench->device, 'name' => 'Shove', 'version' => 1, 'safety' => ['abort' => 'When it hurts.'],
            'channels' => [['key' => 'push', 'metric' => 'push force', 'unit' => 'lbf', 'instrument' => 'Spring']],
        ]);
        self::assertSame(200, $this->answered());
        self::assertSame($before, self::at($this->json('GET', '/api/runs/'.$run), 'asked'), 'The run asks what it asked.');
        $trial = $this->put('trials', ['revision' => $this->bench->b, 'method' => $this->bench->method, 'name' => 'Again']);
        $new = $this->put('runs', ['trial' => $trial, 'article' => $this->bench->unitB]);
        $asked = (array) self::at($this->json('GET', '/api/runs/'.$new), 'asked');
        self::assertSame(['Shove', 2, 'lbf'], [$asked['name'], $asked['version'], self::text($asked, 'channels', 0, 'unit')]);
    }

    public function testTheBriefSaysWhatNoMethodMeasures(): void
    {
        $this->put(
            'requirements',
            [
                'device' => $this->bench->device, 'statement' => 'Quiet', 'metric' => 'noise', 'unit' => 'dB', 'limit' => 70.0,
                'direction' => 'atMost',
            ],
        );
        self::assertStringContainsString(
            'No method measures noise', self::text($this->json('GET', '/api/devices/'.$this->bench->device.'/brief'), 'sentence'),
        );
    }
}
