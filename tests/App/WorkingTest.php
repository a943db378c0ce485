<?php

declare(strict_types=1);

namespace Lustrum\Tests\App;

use Lustrum\Account\Role;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Uid\Uuid;

/** Sums of the bench: worked out as they are typed, kept, following what they are taken from, and scored by a run. */
final class WorkingTest extends ApiTestCase
{
    private Bench $bench;

    protected function setUp(): void
    {
        parent::setUp();
        $this->bench = $this->bench();
    }

    /**
     * @param array<string, string> $texts
     * @param array<string, mixed>  $more
     *
     * @return array<string, mixed>
     */
    private function work(string $sum, array $texts, array $more = []): array
    {
        return $this->json(
            'POST', '/api/devices/'.$this->bench->device.'/work', ['sum' => $sum, 'inputs' => self::entries($texts)] + $more,
        );
    }

    /**
     * @param array<string, string> $texts
     *
     * @return list<array{name: string, text: string}>
     */
    private static function entries(array $texts): array
    {
        return array_map(static fn (string $name, string $text): array => ['name' => $name, 'text' => $text], array_keys($texts), $texts);
    }

    /** @param array<string, mixed> $body */
    private function done(string $method, string $url, array $body): void
    {
        $answer = $this->json($method, $url, $body);
        self::assertLessThan(300, $this->answered(), (string) json_encode($answer));
    }

    /** @return array<string, mixed> */
    private function sheet(): array
    {
        return $this->json('GET', '/api/revisions/'.$this->bench->b.'/workings');
    }

    public function testItIsWorkedOutAsItIsTyped(): void
    {
        $drop = $this->work('drop', ['height' => '1.2 m ± 0.01', 'mass' => '2500 g', 'stopDistance' => '15 mm']);
        [$speed, $energy] = [(array) self::at($drop, 'answers', 0), (array) self::at($drop, 'answers', 1)];
        self::assertSame(
            ['Speed as it lands', '4.851 ± 0.020 m/s', 'v = √(2g·h)', 'v = √(2g·(1.200 m))'],
            [$speed['words'], $speed['text'], $speed['formula'], $speed['putIn']],
        );
        self::assertSame('Its uncertainty comes from height (100 %).', $speed['parts']);
        self::assertSame('29.42 ± 0.25 J', $energy['text']);
        self::assertCount(4, (array) $drop['answers']);
        $charge = $this->work('runtime', ['capacity' => '7 Ah ± 0.2', 'activeCurrent' => '1.05']);
        self::assertSame(
            't = (7.000 Ah)·(1 − 0)/(1.050 A)', self::text($charge, 'answers', 1, 'putIn'),
            'With what is taken where nothing was given, and without what it is unsure by.',
        );
        self::assertSame(
            '4.851 ± 0.020 m/s',
            self::text($this->work('drop', ['height' => '120 cm ± 1', 'mass' => '2.5']), 'answers', 0, 'text'),
            'A bare number is in the unit beside it.',
        );
        self::assertSame('17.46 km/h', self::text(
            $this->work('drop', ['height' => '1.2', 'mass' => '1'], ['output' => 'speed', 'unit' => 'km/h']), 'answers', 0,
            'text',
        ));
    }

    public function testNothingIsSaidOfWhatIsStillMissing(): void
    {
        $half = $this->work('drop', ['height' => '1.2 m']);
        self::assertSame([[], [], ''], [$half['answers'], $half['problems'], $half['problem']]);
    }

    /** @return iterable<string, array{array<string, string>, string, string}> */
    public static function wrong(): iterable
    {
        yield 'another dimension' => [
            ['height' => '3 kg', 'mass' => '1 kg'], 'height', 'kg measures mass, but length is wanted here (as in m).',
        ];
        yield 'nought' => [['height' => '0', 'mass' => '1 kg'], 'height', 'More than 0 is wanted here.'];
        yield 'a bound' => [['height' => '< 3 m', 'mass' => '1 kg'], 'height', 'One value is wanted here, as 12.5 or 12.5 ± 0.1.'];
        yield 'no number' => [['height' => 'high', 'mass' => '1 kg'], 'height', ''];
        yield 'too large' => [['height' => '1e200', 'mass' => '1 kg'], 'height', 'That is beyond what can be reckoned with.'];
    }

    /** @param array<string, string> $texts */
    #[DataProvider('wrong')]
    public function testWhatIsWrongStandsAtItsField(array $texts, string $field, string $sentence): void
    {
        $sheet = $this->work('drop', $texts);
        self::assertSame([], $sheet['answers']);
        self::assertSame($field, self::text($sheet, 'problems', 0, 'name'));
        self::assertStringContainsString($sentence, self::text($sheet, 'problems', 0, 'text'));
    }

    public function testAnInputIsSolvedForAndTheNearestToBeBoughtIsNamed(): void
    {
        $strip = ['width' => '40 mm', 'thickness' => '5 mm', 'newThickness' => '5 mm'];
        $sheet = $this->work('beamSection', $strip, ['output' => 'stiffnessRatio', 'along' => 'newThickness', 'wanted' => '2']);
        self::assertSame('With other thickness 6.300 mm it comes to 2.000.', $sheet['solved']);
        self::assertSame('The nearest to be bought is 6.000 mm: that gives 1.728.', $sheet['bought']);
        self::assertSame(['6.300 mm', '6.000 mm', 2.0], [$sheet['solvedAs'], $sheet['boughtAs'], (float) self::text($sheet, 'limit')]);
        self::assertCount(41, (array) $sheet['xs']);
        self::assertSame('Other thickness, mm', $sheet['axis']);

        $never = $this->work('beamSection', $strip, ['output' => 'stiffnessRatio', 'along' => 'newThickness', 'wanted' => '-1']);
        self::assertSame('No value of this gives that.', self::text($never, 'problems', 0, 'text'));
        self::assertNotSame([], $never['answers'], 'The other answers stay.');
        $unit = $this->work('beamSection', $strip, ['output' => 'secondMoment', 'unit' => 'mm']);
        self::assertSame('unit', self::text($unit, 'problems', 0, 'name'));
    }

    public function testItFollowsTheParameterThatItIsTakenFromAndTheOldAnswerStays(): void
    {
        $height = $this->put('parameters', ['revision' => $this->bench->b, 'name' => 'drop height', 'text' => '1.0 m']);
        $body = [
            'revision' => $this->bench->b, 'title' => 'How fast it lands', 'sum' => 'drop', 'output' => 'speed',
            'inputs' => [['name' => 'height', 'text' => '1.0 m', 'parameter' => $height], ['name' => 'mass', 'text' => '2 kg']],
        ];
        $working = $this->put('workings', $body);
        self::assertSame('28 sums of the bench. 1 is kept on this device.', self::text($this->sheet(), 'sentence'));
        self::assertSame(['4.429 m/s', ''], [
            self::text($this->sheet(), 'kept', 0, 'answer'), self::text($this->sheet(), 'kept', 0, 'now'),
        ]);

        $this->done('PUT', '/api/parameters/'.$height, [
            'revision' => $this->bench->b, 'name' => 'drop height', 'text' => '2.0 m', 'version' => 1,
        ]);
        $kept = (array) self::at($this->sheet(), 'kept', 0);
        self::assertSame(['4.429 m/s', '6.263 m/s'], [$kept['answer'], $kept['now']]);
        self::assertSame([['name' => 'height', 'words' => 'Height', 'now' => '2.0 m', 'was' => '1.0 m']], $kept['changed']);
        self::assertStringContainsString('what it rests on has changed', self::text($this->sheet(), 'sentence'));

        $body['inputs'][0]['text'] = '2.0 m';
        $this->done('PUT', '/api/workings/'.$working, ['version' => 1] + $body);
        $kept = (array) self::at($this->sheet(), 'kept', 0);
        self::assertSame(['6.263 m/s', ''], [$kept['answer'], $kept['now']]);
        self::assertSame(['4.429 m/s', '6.263 m/s'], array_column((array) self::at($kept, 'working', 'answers'), 'text'));

        $this->done('POST', '/api/parameters/'.$height.'/withdraw', ['because' => 'Measured instead']);
        self::assertSame([], self::at($this->sheet(), 'kept', 0, 'changed'), 'What is gone is not followed any more.');
    }

    public function testItFollowsWhatAPartWeighsWhatWasReadAndWhatIsRequired(): void
    {
        $part = $this->put('parts', ['revision' => $this->bench->b, 'name' => 'Hopper', 'mass' => 500.0]);
        $this->put('parts', ['revision' => $this->bench->b, 'name' => 'Never weighed']);
        $this->trial($this->bench, $this->bench->b, $this->bench->unitB, [40.0]);
        $sources = [];
        foreach ((array) $this->sheet()['sources'] as $source) {
            $sources[self::text((array) $source, 'kind')][] = (array) $source;
        }
        self::assertSame(['500 g'], array_column($sources['part'] ?? [], 'text'));
        self::assertSame(['40.0 N'], array_column($sources['reading'] ?? [], 'text'));
        self::assertCount(1, $sources['requirement'] ?? []);
        $this->put('workings', [
            'revision' => $this->bench->b, 'title' => 'Fall', 'sum' => 'drop', 'output' => 'energy',
            'inputs' => [['name' => 'height', 'text' => '1 m'], ['name' => 'mass', 'text' => '500 g', 'part' => $part]],
        ]);
        $this->done('PUT', '/api/parts/'.$part, ['revision' => $this->bench->b, 'name' => 'Hopper', 'mass' => 600.0, 'version' => 1]);
        $kept = (array) self::at($this->sheet(), 'kept', 0);
        self::assertSame(['4.903 J', '5.884 J'], [$kept['answer'], $kept['now']]);
    }

    public function testAForecastIsSaidBeforeItIsReadAndScored(): void
    {
        $trial = $this->put('trials', ['revision' => $this->bench->b, 'method' => $this->bench->method, 'name' => 'Pushing']);
        $run = $this->put('runs', ['trial' => $trial, 'article' => $this->bench->unitB]);
        self::assertContains($run, array_column((array) $this->sheet()['runs'], 'run'));
        $body = [
            'revision' => $this->bench->b, 'title' => 'What it should push', 'sum' => 'leverBalance', 'output' => 'load',
            'run' => $run, 'channel' => 'push',
            'inputs' => self::entries(['reading' => '20 N ± 0.5', 'readingArm' => '200 mm', 'loadArm' => '100 mm']),
        ];
        $working = $this->put('workings', $body);
        self::assertSame('40.00 ± 1.00 N', self::text($this->json('GET', '/api/runs/'.$run), 'worked', 0, 'answer'));
        $onSheet = fn (): array => array_column((array) $this->json('GET', '/api/runs/'.$run)['worked'], 'came');
        self::assertSame([''], $onSheet());
        $this->put('readings', ['run' => $run, 'channel' => 'push', 'text' => '41.0 N', 'confirmed' => 'x']);

        $came = 'It read 41.0 N; 40.00 ± 1.00 N was worked out before. Inside its interval [38.04, 41.96], 0.51 half-widths above the middle.';
        self::assertSame([$came], $onSheet());
        $kept = (array) self::at($this->sheet(), 'kept', 0);
        self::assertSame(['Pushing, run 1', $came, true], [$kept['run'], $kept['came'], $kept['isInside']]);
        self::assertStringEndsWith('The forecast that was read lies inside its interval.', self::text($this->sheet(), 'sentence'));
        self::assertNotContains($run, array_column((array) $this->sheet()['runs'], 'run'), 'It was read.');

        $other = ['inputs' => self::entries(['reading' => '21 N', 'readingArm' => '200 mm', 'loadArm' => '100 mm']), 'version' => 1] + $body;
        $this->json('PUT', '/api/workings/'.$working, $other);
        self::assertSame(422, $this->answered());
        // As much, and less sure: wide enough it would be right whatever was read.
        $wider = ['inputs' => self::entries(['reading' => '20 N ± 5', 'readingArm' => '200 mm', 'loadArm' => '100 mm']), 'version' => 1] + $body;
        self::assertSame('run', self::text($this->json('PUT', '/api/workings/'.$working, $wider), 'violations', 0, 'path'));
        $this->done('PUT', '/api/workings/'.$working, ['title' => 'Another name', 'version' => 1] + $body);
        $late = $this->json('PUT', '/api/workings/'.Uuid::v7()->toRfc4122(), $body);
        self::assertSame('run', self::text($late, 'violations', 0, 'path'));
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function refused(): iterable
    {
        $fall = ['sum' => 'drop', 'output' => 'speed', 'inputs' => self::entries(['height' => '1 m', 'mass' => '1 kg'])];
        yield 'a sum that there is not' => [['sum' => 'magic'] + $fall, 'sum'];
        yield 'an answer that it does not give' => [['output' => 'colour'] + $fall, 'output'];
        yield 'an answer that these values do not give' => [['output' => 'meanForce'] + $fall, 'output'];
        yield 'a unit that does not fit' => [['unit' => 'kg'] + $fall, 'unit'];
        yield 'a value that cannot be' => [['inputs' => self::entries(['height' => '-1 m', 'mass' => '1 kg'])] + $fall, 'inputs[0].text'];
        yield 'a line that cannot be read' => [
            ['sum' => 'resourceBudget', 'output' => 'pins', 'inputs' => self::entries(['available' => 'pins 20', 'uses' => 'lamp pins 3'])],
            'inputs[1].text',
        ];
        yield 'an answer that no line names' => [
            [
                'sum' => 'resourceBudget', 'output' => 'left',
                'inputs' => self::entries(['available' => 'pins 20', 'uses' => 'lamp: pins 3']),
            ],
            'output',
        ];
        yield 'a value that is missing' => [['inputs' => self::entries(['height' => '1 m'])] + $fall, 'inputs'];
    }

    /** @param array<string, mixed> $body */
    #[DataProvider('refused')]
    public function testWhatCannotBeKeptSaysWhere(array $body, string $path): void
    {
        $answer = $this->json('PUT', '/api/workings/'.Uuid::v7()->toRfc4122(), ['revision' => $this->bench->b, 'title' => 'Fall'] + $body);
        self::assertSame([422, $path], [$this->answered(), self::text($answer, 'violations', 0, 'path')]);
    }

    /** Its answers are named by what is entered; what is kept is one of them, and another line makes it another. */
    public function testABudgetIsKeptAndWorkedOutAnew(): void
    {
        $lines = ['available' => "pins 20\ncurrent 500 mA", 'uses' => '2 × driver: pins 3; current 0.15 A'];
        $typed = $this->work('resourceBudget', $lines);
        self::assertSame('Current: 300 mA of 500 mA taken; left: 200 mA.', $typed['sentence'], 'What runs out first is the answer.');
        self::assertSame(['current', 'pins'], array_column((array) $typed['answers'], 'name'));
        $id = Uuid::v7()->toRfc4122();
        $body = [
            'revision' => $this->bench->b, 'title' => 'Board', 'sum' => 'resourceBudget', 'output' => 'pins',
            'inputs' => self::entries($lines),
        ];
        $this->done('PUT', '/api/workings/'.$id, $body);
        self::assertSame('14', self::text($this->sheet(), 'kept', 0, 'answer'));
        $more = self::entries(['uses' => $lines['uses']."\nlamp: pins 15"] + $lines);
        $this->done('PUT', '/api/workings/'.$id, ['inputs' => $more, 'version' => 1] + $body);
        self::assertSame(['14', '−1'], array_column((array) self::at($this->sheet(), 'kept', 0, 'working', 'answers'), 'text'));
    }

    /** What does not measure the same is not offered for a field, and the candidates that wait for an answer are named. */
    public function testWhatCanBeTakenSaysWhereItFits(): void
    {
        $this->put('parameters', ['revision' => $this->bench->b, 'name' => 'arm', 'text' => '5 mm']);
        $this->put('parameters', ['revision' => $this->bench->b, 'name' => 'spring', 'text' => '2 N/mm']);
        $candidate = $this->put('candidates', ['revision' => $this->bench->b, 'what' => 'Thicker arm']);
        $sheet = $this->sheet();
        $fits = array_column((array) $sheet['sources'], 'fits', 'words');
        self::assertSame(['length', 'stiffness'], [$fits['arm'], $fits['spring']]);
        $drop = array_column((array) $sheet['sums'], null, 'name')['drop'];
        self::assertSame('length', self::text((array) $drop, 'inputs', 0, 'fits'));
        self::assertSame([['id' => $candidate, 'what' => 'Thicker arm']], $sheet['candidates']);
    }

    public function testNothingIsTakenFromAnotherDevice(): void
    {
        $other = $this->put('devices', ['workspace' => $this->workspace, 'name' => 'Cart']);
        $build = $this->put('revisions', ['device' => $other, 'letter' => 'A']);
        $parameter = $this->put('parameters', ['revision' => $build, 'name' => 'height', 'text' => '1 m']);
        $answer = $this->json('PUT', '/api/workings/'.Uuid::v7()->toRfc4122(), [
            'revision' => $this->bench->b, 'title' => 'Fall', 'sum' => 'drop', 'output' => 'speed',
            'inputs' => [['name' => 'height', 'text' => '1 m', 'parameter' => $parameter], ['name' => 'mass', 'text' => '1 kg']],
        ]);
        self::assertSame('inputs[0].parameter', self::text($answer, 'violations', 0, 'path'));
    }

    /** A plain number measures what a share does, and is none. */
    public function testNoShareAndNoRatingIsWorkedOut(): void
    {
        $this->put('candidates', ['revision' => $this->bench->b, 'what' => 'Thicker arm']);
        foreach ([['mean', 'stiffness', 2.0], ['rate', 'survives drop', 0.9], ['rating', 'grip', 60.0]] as $i => [$kind, $metric, $limit]) {
            $this->put('requirements', [
                'device' => $this->bench->device, 'statement' => $metric, 'metric' => $metric, 'unit' => $kind === 'rate' ? '' : '1',
                'limit' => $limit, 'direction' => 'atLeast', 'kind' => $kind, 'place' => 10 + $i,
            ]);
        }
        $this->put('workings', [
            'revision' => $this->bench->b, 'title' => 'Thicker', 'sum' => 'gearMesh', 'output' => 'ratio',
            'inputs' => self::entries(['module' => '1 mm', 'driverTeeth' => '18', 'drivenTeeth' => '54']),
        ]);
        $targets = (array) self::at($this->sheet(), 'kept', 0, 'targets');
        self::assertSame(['Thicker arm: stiffness'], array_column($targets, 'words'));
    }

    public function testAnAnswerIsPutWhereItIsUsed(): void
    {
        $thick = $this->put('parameters', ['revision' => $this->bench->b, 'name' => 'arm', 'text' => '5 mm']);
        $candidate = $this->put('candidates', ['revision' => $this->bench->b, 'what' => 'Thicker arm', 'effects' => [
            ['metric' => 'push force', 'unit' => 'N', 'low' => 1.0, 'likely' => 2.0, 'high' => 3.0],
        ]]);
        $method = $this->put('methods', [
            'device' => $this->bench->device, 'name' => 'Lever',
            'constants' => [['key' => 'arm', 'value' => 100.0, 'unit' => 'mm', 'name' => 'Arm of the stand']],
            'safety' => ['abort' => 'When it slips.'],
        ]);
        $force = $this->put('workings', [
            'revision' => $this->bench->b, 'title' => 'Push', 'sum' => 'leverBalance', 'output' => 'load',
            'inputs' => self::entries(['reading' => '20 N ± 0.5', 'readingArm' => '200 mm', 'loadArm' => '100 mm']),
        ]);
        $size = $this->put('workings', [
            'revision' => $this->bench->b, 'title' => 'Centre', 'sum' => 'gearMesh', 'output' => 'centreDistance',
            'inputs' => self::entries(['module' => '1 mm', 'driverTeeth' => '18', 'drivenTeeth' => '54']),
        ]);
        $targets = array_column((array) $this->sheet()['kept'], 'targets');
        self::assertSame([['arm', 'Lever: Arm of the stand'], ['Thicker arm: push force']], array_map(
            static fn (mixed $of): array => array_column((array) $of, 'words'), $targets,
        ), 'Only what measures the same.');

        $give = fn (string $working, array $to): array => $this->json('POST', '/api/workings/'.$working.'/hand-over', $to);
        $give($size, ['parameter' => $thick]);
        $give($size, ['method' => $method, 'name' => 'arm']);
        $give($force, ['candidate' => $candidate, 'name' => 'push force']);
        self::assertSame('36.00 mm', self::text(
            $this->json('GET', '/api/revisions/'.$this->bench->b.'/build'), 'parameters', 0, 'here', 'measure', 'text',
        ));
        self::assertSame(['mm', 36], array_map(
            fn (string $what): mixed => self::at($this->json('GET', '/api/methods/'.$method.'/sheet'), 'method', 'constants', 0, $what),
            ['unit', 'value'],
        ));
        $effects = (array) self::at($this->json('GET', '/api/revisions/'.$this->bench->b.'/next'), 'candidates', 0, 'effects');
        self::assertCount(1, $effects);
        self::assertEqualsWithDelta(38.04, self::at($effects, 0, 'low'), 0.01);
        self::assertSame(['value', 40], [self::at($effects, 0, 'mode'), self::at($effects, 0, 'likely')]);

        foreach ([
            [$force, ['parameter' => $thick], 'parameter'], [$size, ['method' => $method, 'name' => 'leg'], 'name'], [$size, [], 'name'],
            [$size, ['candidate' => $candidate], 'name'],
        ] as [$working, $to, $path]) {
            self::assertSame($path, self::text($give($working, $to), 'violations', 0, 'path'));
        }
    }

    private const HOPPER = ['name' => 'Seed in the hopper', 'formula' => 'a*h*rho', 'unit' => 'kg', 'note' => 'Seed settles.', 'variables' => [
        ['name' => 'a', 'words' => 'Floor', 'unit' => 'cm^2'], ['name' => 'h', 'words' => 'Height of the seed', 'unit' => 'cm'],
        ['name' => 'rho', 'words' => '', 'unit' => 'kg/L'],
    ]];

    public function testASumOfOnesOwnIsUsedLikeTheOthers(): void
    {
        $id = $this->put('sums', ['workspace' => $this->workspace] + self::HOPPER);
        $sums = array_column((array) $this->sheet()['sums'], null, 'name');
        self::assertSame('a*h*rho', self::text($sums, 'own:'.$id, 'own', 'formula'));
        $texts = ['a' => '200', 'h' => '10 cm ± 0.5', 'rho' => '0.8'];
        $own = ['own' => self::HOPPER];
        self::assertSame('1.600 ± 0.080 kg', self::text($this->work('own', $texts, $own), 'answers', 0, 'text'));
        self::assertSame(
            'Its uncertainty comes from height of the seed (100 %).',
            self::text($this->work('own', $texts, $own), 'answers', 0, 'parts'),
        );
        self::assertSame(
            'With height of the seed 12.50 cm it comes to 2.000 kg.',
            $this->work('own', $texts, $own + ['along' => 'h', 'wanted' => '2 kg'])['solved'],
        );

        $working = $this->put('workings', [
            'revision' => $this->bench->b, 'title' => 'A full hopper', 'sum' => 'own', 'output' => 'result',
            'inputs' => self::entries($texts),
        ] + $own);
        // Whatever becomes of the one in the list, what was kept stays what it was.
        $this->done('PUT', '/api/sums/'.$id, ['formula' => 'a*h*rho*0.9', 'workspace' => $this->workspace, 'version' => 1] + self::HOPPER);
        $kept = (array) self::at($this->sheet(), 'kept', 0);
        self::assertSame(['1.600 ± 0.080 kg', 'Seed in the hopper'], [$kept['answer'], $kept['sum']]);
        self::assertSame('a*h*rho', self::text($kept, 'own', 'own', 'formula'));
        self::assertNotSame('', $working);
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> */
    public static function formulas(): iterable
    {
        yield 'a unit that it does not give' => [['unit' => 'm'], 'formula', 'mass is wanted here'];
        yield 'a name that nobody gave' => [['formula' => 'a*h*rho*k'], 'formula', 'k'];
        yield 'no formula' => [['formula' => 'a*(h'], 'formula', ''];
        yield 'turns with pi' => [
            ['formula' => '2*pi*n*r', 'unit' => 'm/s', 'variables' => [['name' => 'n', 'unit' => 'rpm'], ['name' => 'r', 'unit' => 'm']]],
            'formula', 'rpm',
        ];
        yield 'a name twice' => [['variables' => [['name' => 'a', 'unit' => 'm'], ['name' => 'a', 'unit' => 'm']]], 'variables', 'twice'];
        yield 'nothing that goes in' => [['variables' => []], 'variables', 'What goes into it?'];
        yield 'a name of two words' => [['variables' => [['name' => 'a b', 'unit' => 'm']]], 'variables[0].name', ''];
    }

    /** @param array<string, mixed> $wrong */
    #[DataProvider('formulas')]
    public function testWhatIsNoFormulaSaysWhere(array $wrong, string $path, string $sentence): void
    {
        $answer = $this->json('PUT', '/api/sums/'.Uuid::v7()->toRfc4122(), ['workspace' => $this->workspace] + $wrong + self::HOPPER);
        self::assertSame([422, $path], [$this->answered(), self::text($answer, 'violations', 0, 'path')]);
        self::assertStringContainsString($sentence, self::text($answer, 'violations', 0, 'message'));
    }

    public function testADeviceFileCarriesWhatWasKeptAndForecast(): void
    {
        $trial = $this->put('trials', ['revision' => $this->bench->b, 'method' => $this->bench->method, 'name' => 'Pushing']);
        $run = $this->put('runs', ['trial' => $trial, 'article' => $this->bench->unitB]);
        $this->put('workings', [
            'revision' => $this->bench->b, 'title' => 'What it should push', 'sum' => 'leverBalance', 'output' => 'load',
            'run' => $run, 'channel' => 'push',
            'inputs' => self::entries(['reading' => '20 N ± 0.5', 'readingArm' => '200 mm', 'loadArm' => '100 mm']),
        ]);
        $this->put('workings', [
            'revision' => $this->bench->b, 'title' => 'A full hopper', 'sum' => 'own', 'output' => 'result',
            'own' => self::HOPPER, 'inputs' => self::entries(['a' => '200', 'h' => '10', 'rho' => '0.8']),
        ]);
        $this->put('readings', ['run' => $run, 'channel' => 'push', 'text' => '41.0 N', 'confirmed' => 'x']);
        $said = static fn (array $sheet): array => array_map(
            static fn (mixed $k): array => array_intersect_key((array) $k, array_flip(['answer', 'came', 'run', 'sum', 'letter'])),
            (array) $sheet['kept'],
        );
        $before = $said($this->sheet());
        $this->client->request('GET', '/api/devices/'.$this->bench->device.'/export.json');
        $file = (string) $this->client->getInternalResponse()->getContent();
        $there = $this->newWorkspace('Elsewhere', ['other@example.test' => Role::Lead]);
        $this->signIn('other@example.test');
        $this->raw('POST', '/api/workspaces/'.$there.'/import', $file);
        self::assertLessThan(300, $this->answered());
        $device = self::text((array) $this->json('GET', '/api/workspaces/'.$there.'/devices'), 0, 'device', 'id');
        $spine = array_column(
            array_column((array) $this->json('GET', '/api/devices/'.$device.'/frame')['spine'], 'revision'), 'id', 'letter',
        );
        self::assertSame($before, $said($this->json('GET', '/api/revisions/'.$spine['B'].'/workings')));
    }
}
