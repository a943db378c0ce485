<?php

declare(strict_types=1);

namespace Lustrum\Tests\App;

use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Uid\Uuid;

/** Once round: Build, Try, Find, Weigh, Next, and the loop closed on the build that follows. */
final class LoopTest extends ApiTestCase
{
    public function testOnceRound(): void
    {
        $bench = $this->bench();
        $this->put('parameters', ['revision' => $bench->a, 'name' => 'arm', 'text' => '3.00 mm']);
        $this->put('parameters', ['revision' => $bench->b, 'name' => 'arm', 'text' => '1/8 in']);
        $this->put('parts', ['revision' => $bench->a, 'name' => 'Arm', 'quantity' => 3.0, 'cost' => 0.1]);
        $this->put('parts', ['revision' => $bench->b, 'name' => 'Arm', 'quantity' => 3.0, 'cost' => 0.2]);
        $this->put(
            'changes',
            [
                'revision' => $bench->b, 'what' => 'Lighter wheel',
                'effects' => [['metric' => 'push force', 'unit' => 'N', 'likely' => -4.0]],
            ],
        );
        $this->trial($bench, $bench->a, $bench->unitA, [48.0, 49.0, 47.5, 48.5]);
        $this->trial($bench, $bench->b, $bench->unitB, [43.0, 43.6, 42.8, 43.4]);

        $build = $this->json('GET', '/api/revisions/'.$bench->b.'/build');
        self::assertSame('fixed', self::text($build, 'changes', 0, 'computed'));
        self::assertStringContainsString('−5.1 N [', self::text($build, 'changes', 0, 'sentence'));
        self::assertSame('changed', self::text($build, 'parameters', 0, 'mark'));
        self::assertSame(['0.60', '0.30'], [self::text($build, 'cost'), self::text($build, 'costDifference')]);
        self::assertSame('4 runs', self::text($build, 'articles', 0, 'past'));

        $weigh = $this->json('GET', '/api/revisions/'.$bench->b.'/weigh');
        self::assertSame(
            ['broken', 'solid'], array_map(static fn (mixed $c): mixed => is_array($c) ? $c['texture'] : null, (array) $weigh['cells']),
        );
        self::assertSame(
            ['lower', 'better', 'tilted'],
            [
                self::text($weigh, 'comparisons', 0, 'verdict'), self::text($weigh, 'comparisons', 0, 'judged'),
                self::text($weigh, 'comparisons', 0, 'footing', 'footing'),
            ],
        );
        self::assertStringContainsString('Another lot of sheet (P-1, then P-2)', json_encode($weigh, JSON_UNESCAPED_UNICODE) ?: '');
        $runs = '/api/revisions/'.$bench->b.'/runs?metric='.self::text($weigh, 'comparisons', 0, 'metricId');
        self::assertCount(4, (array) $this->json('GET', $runs)['rows']);
        self::assertCount(8, (array) $this->json('GET', $runs.'&against='.$bench->a)['rows'], 'Both sides of the comparison.');

        $failure = $this->put('failures', ['revision' => $bench->b, 'mode' => 'Spoke bent', 'consequence' => 'major']);
        self::assertStringContainsString(
            '1 has no suspected cause', self::text($this->json('GET', '/api/revisions/'.$bench->b.'/find'), 'sentence'),
        );
        $this->put('causes', ['failure' => $failure, 'text' => 'Hit a stone', 'kind' => 'use']);
        $in = $this->put(
            'candidates',
            [
                'revision' => $bench->b, 'what' => 'Thicker spokes', 'class' => 'strength', 'cost' => 30.0, 'hours' => 2.0,
                'failures' => [$failure],
                'effects' => [['metric' => 'push force', 'unit' => 'N', 'low' => 0.1, 'likely' => 0.3, 'high' => 0.6]],
            ],
        );
        $also = $this->put(
            'candidates',
            [
                'revision' => $bench->b, 'what' => 'Narrower tyre', 'cost' => 25.0,
                'effects' => [['metric' => 'push force', 'unit' => 'lbf', 'low' => -0.5, 'likely' => -0.2, 'high' => 0.0]],
            ],
        );
        $decision = [
            'revision' => $bench->b, 'next' => Uuid::v7()->toRfc4122(), 'letter' => 'C', 'intent' => 'Stiffer', 'note' => 'Because.',
        ];
        $id = Uuid::v7()->toRfc4122();
        $this->json('PUT', '/api/decisions/'.$id, $decision);
        self::assertSame(422, $this->answered(), 'Nothing chosen.');
        $this->choose($in, 'in', 'It bent');
        $this->json('PUT', '/api/decisions/'.$id, $decision);
        self::assertSame(422, $this->answered(), 'One has no answer.');
        $this->choose($also, 'in', 'Lighter');
        $next = $this->json('GET', '/api/revisions/'.$bench->b.'/next');
        self::assertSame(
            ['55.00', 1, 1],
            [
                self::at($next, 'consequences', 'cost'), count((array) self::at($next, 'consequences', 'over')),
                count((array) self::at($next, 'consequences', 'entangled')),
            ],
        );
        $forecast = (array) self::at($next, 'consequences', 'forecasts', 0);
        self::assertEqualsWithDelta(
            0.1 - 0.5 * 4.4482216152605, (float) self::text($forecast, 'low') - (float) self::text($forecast, 'now'), 1e-9,
        );
        $this->choose($also, 'wait', 'One at a time');

        $record = $this->json('PUT', '/api/decisions/'.$id, $decision);
        self::assertSame(201, $this->answered(), json_encode($record) ?: '');
        $this->json('PUT', '/api/decisions/'.$id, $decision);
        self::assertSame(200, $this->answered(), 'Sent twice, it is one decision.');
        self::assertCount(2, (array) self::at($record, 'known', 'lines'));
        self::assertSame('solid', self::text($record, 'known', 'evidence', 0, 'texture'));
        $new = $this->json('GET', '/api/revisions/'.self::text($record, 'next').'/build');
        self::assertSame(
            ['Thicker spokes', 'push force', '0.3', $failure],
            [
                self::text($new, 'changes', 0, 'change', 'what'), self::text($new, 'changes', 0, 'metric'),
                self::text($new, 'changes', 0, 'change', 'effects', 0, 'likely'), self::text($new, 'changes', 0, 'change', 'against', 0),
            ],
        );
        self::assertSame(
            ['0.125 in', 'same', '0.60'],
            [
                self::text($new, 'parameters', 0, 'here', 'measure', 'text'), self::text($new, 'parameters', 0, 'mark'),
                self::text($new, 'cost'),
            ],
        );
        $waiting = $this->json('GET', '/api/revisions/'.self::text($record, 'next').'/next');
        self::assertSame(['Narrower tyre'], array_column((array) $waiting['candidates'], 'what'), 'What waits is there again.');
        $this->json('PUT', '/api/candidates/'.$in, ['revision' => $bench->b, 'what' => 'Rewritten', 'version' => 2]);
        self::assertSame(409, $this->answered(), 'What was decided on is not rewritten.');
        self::assertSame(
            [['Thicker spokes', 'C', 'nobodyLooked']],
            array_map(
                static fn (mixed $c): array => is_array($c) ? [$c['what'], $c['letter'], $c['verdict']] : [],
                (array) $this->json('GET', '/api/revisions/'.$bench->b.'/next')['cameOf'],
            ),
        );
        self::assertSame('unplaced', self::text($this->json('GET', '/api/revisions/'.$bench->b.'/find'), 'failures', 0, 'standing'));
        self::assertSame(
            ['C', 'B', 'A'],
            array_map(
                static fn (mixed $t): string => is_array($t) ? self::text($t, 'revision', 'letter') : '',
                (array) $this->json('GET', '/api/devices/'.$bench->device.'/frame')['spine'],
            ),
        );
    }

    public function testReadingsAreConvertedRefusedAndAskedBack(): void
    {
        $bench = $this->bench();
        $trial = $this->trial($bench, $bench->a, $bench->unitA, [40.0, 41.0, 39.5]);
        $run = $this->put('runs', ['trial' => $trial, 'article' => $bench->unitA]);
        $ask = fn (string $text): array => $this->json(
            'POST', '/api/readings/preview', ['run' => $run, 'channel' => 'push', 'text' => $text],
        );
        self::assertSame(
            ['9.20 lbf', '40.92 N', true], [self::text($p = $ask('9.20 lbf'), 'typed'), self::text($p, 'inChannelUnit'), $p['converted']],
        );
        self::assertStringContainsString('write kgf', self::text($ask('4 kg'), 'detail'));
        self::assertStringContainsString('force is wanted', self::text($ask('4 mm'), 'detail'));
        $id = Uuid::v7()->toRfc4122();
        $slip = $this->json('PUT', '/api/readings/'.$id, ['run' => $run, 'channel' => 'push', 'text' => '4.1 N']);
        self::assertSame(422, $this->answered());
        self::assertSame(['slip', '40.2 N'], [self::text($slip, 'questions', 0, 'about'), self::text($slip, 'questions', 0, 'corrected')]);
        self::assertSame(
            'limits',
            self::text(
                $this->json('PUT', '/api/readings/'.$id, ['run' => $run, 'channel' => 'push', 'text' => '250 N']), 'questions', 0, 'about',
            ),
        );
        $this->json('PUT', '/api/readings/'.$id, ['run' => $run, 'channel' => 'push', 'text' => '4.1 N', 'confirmed' => 'asked']);
        self::assertSame(201, $this->answered());
    }

    public function testADerivedChannelFollowsItsReadings(): void
    {
        $bench = $this->bench();
        $channels = [
            ['key' => 'pull', 'metric' => 'pull', 'unit' => 'N', 'low' => '1 lbf', 'high' => '90 lbf'],
            ['key' => 'arm', 'metric' => 'arm', 'unit' => 'mm'],
            ['key' => 'torque', 'metric' => 'torque', 'unit' => 'N·m', 'formula' => 'pull * arm'],
        ];
        $body = ['device' => $bench->device, 'name' => 'Twist', 'safety' => ['abort' => 'When it slips.']];
        foreach (['pull + arm' => 'force and length', 'pull * width' => '“width”', 'pull *' => 'cannot be read', 'pull' => 'comes out as force'] as $formula => $words) {
            $answer = $this->json(
                'PUT', '/api/methods/'.Uuid::v7()->toRfc4122(),
                ['channels' => [$channels[0], $channels[1], ['formula' => $formula] + $channels[2]]] + $body,
            );
            self::assertSame(['channels[2].formula', 422], [self::text($answer, 'violations', 0, 'path'), $this->answered()]);
            self::assertStringContainsString($words, self::text($answer, 'violations', 0, 'message'));
        }
        $wrong = $this->json('PUT', '/api/methods/'.Uuid::v7()->toRfc4122(), ['channels' => [['low' => '3 mm'] + $channels[0]]] + $body);
        self::assertSame('channels[0].low', self::text($wrong, 'violations', 0, 'path'));
        $method = $this->put('methods', ['channels' => $channels] + $body);
        $shown = (array) $this->json('GET', '/api/methods/'.$method.'/sheet');
        self::assertEqualsWithDelta(
            90 * 4.4482216152605, (float) self::text((array) $shown['method'], 'channels', 0, 'high'), 1e-9,
            'The limit is kept in the unit of the channel.',
        );
        $trial = $this->put('trials', ['revision' => $bench->a, 'method' => $method, 'name' => 'Twisting']);
        $run = $this->put('runs', ['trial' => $trial]);
        self::assertStringContainsString('Waits for', self::text($this->json('GET', '/api/runs/'.$run), 'derived', 0, 'why'));
        $pull = $this->put('readings', ['run' => $run, 'channel' => 'pull', 'text' => '20.0 N']);
        $this->put('readings', ['run' => $run, 'channel' => 'arm', 'text' => '300 mm']);
        // u = √((0.3·0.1)² + (20·0.001)²)/√12 = 0.0104
        self::assertSame('6.000 ± 0.010 N·m', self::text($sheet = $this->json('GET', '/api/runs/'.$run), 'derived', 0, 'text'));
        self::assertSame(['pull = 20.0 N', 'arm = 300 mm'], self::at($sheet, 'derived', 0, 'inputs'));
        $this->json('PUT', '/api/readings/'.Uuid::v7()->toRfc4122(), ['run' => $run, 'channel' => 'torque', 'text' => '6 N·m']);
        self::assertSame(422, $this->answered(), 'It is not typed.');
        $this->json('POST', '/api/readings/'.$pull.'/amend', ['text' => '22.0 N', 'reason' => 'Misread', 'version' => 1]);
        self::assertSame('6.600 ± 0.011 N·m', self::text($this->json('GET', '/api/runs/'.$run), 'derived', 0, 'text'));
        $this->json('PUT', '/api/runs/'.$run, ['trial' => $trial, 'outcome' => 'held', 'version' => 1]);
        self::assertStringContainsString(
            'Torque: 6.60 N·m on A',
            json_encode($this->json('GET', '/api/revisions/'.$bench->a.'/weigh?against='.$bench->b), JSON_UNESCAPED_UNICODE) ?: '',
        );
    }

    public function testARunThatEndedEarlyIsABound(): void
    {
        $bench = $this->bench();
        $trial = $this->trial($bench, $bench->a, $bench->unitA, [40.0, 41.0, 39.5]);
        $run = $this->put('runs', ['trial' => $trial, 'article' => $bench->unitA]);
        $this->put('readings', ['run' => $run, 'channel' => 'push', 'text' => '30 N', 'confirmed' => 'x']);
        $body = ['trial' => $trial, 'article' => $bench->unitA, 'outcome' => 'stoppedEarly', 'version' => 1];
        $this->json('PUT', '/api/runs/'.$run, $body);
        self::assertSame(422, $this->answered(), 'Without a reason.');
        $this->json('PUT', '/api/runs/'.$run, $body + ['outcomeReason' => 'Rain']);
        $cell = (array) self::at($this->json('GET', '/api/revisions/'.$bench->a.'/weigh'), 'cells', 0);
        self::assertSame([3, 1], [$cell['n'], $cell['bounds']]);
        self::assertEqualsWithDelta(40.1667, (float) self::text($cell, 'estimate', 'value'), 1e-3);
    }

    public function testAttemptsAreNumberedAndConditionsNamed(): void
    {
        $bench = $this->bench();
        $trial = $this->put('trials', ['revision' => $bench->a, 'method' => $bench->method, 'name' => 'Pushing']);
        $first = $this->put('runs', ['trial' => $trial]);
        $second = $this->put(
            'runs',
            ['trial' => $trial, 'conditions' => [['name' => 'soil', 'text' => 'unknown'], ['name' => 'moisture', 'text' => '12 %']]],
        );
        self::assertSame(
            [1, ['soil', 'moisture']],
            [self::at($one = $this->json('GET', '/api/runs/'.$first), 'run', 'number'), self::at($one, 'missing')],
        );
        self::assertSame(
            [2, []], [self::at($two = $this->json('GET', '/api/runs/'.$second), 'run', 'number'), self::at($two, 'missing')],
        );
        $bad = $this->json(
            'PUT', '/api/runs/'.$second,
            [
                'trial' => $trial, 'conditions' => [['name' => 'soil', 'text' => 'dry'], ['name' => 'moisture', 'text' => '12 N']],
                'version' => 1,
            ],
        );
        self::assertSame('conditions[1].text', self::text($bad, 'violations', 0, 'path'));
    }

    public function testSafetyComesFirst(): void
    {
        $bench = $this->bench();
        $risky = $this->put(
            'methods', ['device' => $bench->device, 'name' => 'Ride it', 'safety' => ['abort' => 'At any doubt.', 'needsSignOff' => true]],
        );
        $blank = $this->put('methods', ['device' => $bench->device, 'name' => 'Blank']);
        $start = function (string $method, array $more) use ($bench): int {
            $trial = $this->put('trials', ['revision' => $bench->a, 'method' => $method, 'name' => 'x'] + $more);
            $this->json('PUT', '/api/runs/'.Uuid::v7()->toRfc4122(), ['trial' => $trial]);

            return $this->answered();
        };
        self::assertSame(422, $start($risky, []));
        self::assertSame(201, $start($risky, ['signOffs' => [['by' => 'Maren']]]));
        self::assertSame(422, $start($blank, []));
        self::assertSame(201, $start($blank, ['override' => ['by' => 'Maren', 'note' => 'Only paper']]));
    }

    /** @return iterable<string, array{string, array<string, mixed>}> kind of record that is changed after the sign-off, and how */
    public static function changedLater(): iterable
    {
        yield 'the method' => ['methods', ['endPoint' => 'After ten minutes']];
        yield 'a parameter' => ['parameters', ['name' => 'seat height', 'text' => '600 mm']];
        yield 'a part' => ['parts', ['name' => 'Seat', 'material' => 'foam']];
    }

    /** @param array<string, mixed> $change */
    #[DataProvider('changedLater')]
    public function testASignOffEndsWithAChange(string $kind, array $change): void
    {
        $bench = $this->bench();
        $safe = ['safety' => ['abort' => 'At any doubt.', 'needsSignOff' => true]];
        $method = $this->put('methods', ['device' => $bench->device, 'name' => 'Ride it'] + $safe);
        $about = ['revision' => $bench->a, 'method' => $method, 'name' => 'Ride'];
        $trial = $this->put('trials', $about + ['signOffs' => [['by' => 'Maren']]]);
        $start = function () use ($trial): int {
            $this->json('PUT', '/api/runs/'.Uuid::v7()->toRfc4122(), ['trial' => $trial]);

            return $this->answered();
        };
        self::assertSame(201, $start());
        $stands = (array) self::at($this->json('GET', '/api/history/trial/'.$trial), 'rows', 0, 'is', 'signOffs');
        // Saved again as it was, it stands; nobody agrees to anything by renaming a trial.
        $this->json('PUT', '/api/trials/'.$trial, ['name' => 'Ride it', 'signOffs' => $stands, 'version' => 1] + $about);
        self::assertSame(200, $this->answered());
        self::assertSame(201, $start());
        sleep(1);
        if ($kind === 'methods') {
            $this->json(
                'PUT', '/api/methods/'.$method,
                ['device' => $bench->device, 'name' => 'Ride it', 'version' => 1] + $safe + $change,
            );
            self::assertSame(200, $this->answered());
        } else {
            $this->put($kind, ['revision' => $bench->a] + $change);
        }
        self::assertSame(422, $start());
        $version = self::at($this->json('GET', '/api/history/trial/'.$trial), 'rows', 0, 'is', 'version');
        $this->json('PUT', '/api/trials/'.$trial, ['signOffs' => $stands, 'version' => $version] + $about);
        self::assertSame(422, $start(), 'Sent back as it was, nobody agreed anew.');
        $version = is_int($version) ? $version + 1 : 0;
        $this->json('PUT', '/api/trials/'.$trial, ['signOffs' => [['by' => 'Maren']], 'version' => $version] + $about);
        self::assertSame(200, $this->answered());
        self::assertSame(201, $start());
    }

    private function choose(string $candidate, string $choice, string $reason): void
    {
        $sheet = $this->json('GET', '/api/history/candidate/'.$candidate);
        $is = (array) self::at($sheet, 'rows', 0, 'is');
        $this->json(
            'PUT', '/api/candidates/'.$candidate,
            ['choice' => $choice, 'reason' => $reason] + array_intersect_key(
                $is,
                array_flip([
                    'revision', 'what', 'why', 'class', 'cost', 'hours', 'effects', 'source', 'askedBy', 'failures',
                    'requirements', 'alters', 'version',
                ]),
            ),
        );
        self::assertSame(200, $this->answered());
    }
}
