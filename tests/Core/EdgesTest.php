<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\Calc\Catalogue;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Every operation at its edges: a value, or a typed error with a sentence; never a NaN, never another kind of failure. */
final class EdgesTest extends TestCase
{
    /** @return array<string, array<string, mixed>> a sound input for each operation */
    private static function sound(): array
    {
        $t = [1.0, 2.0, 3.0, 5.0, 8.0];
        $lives = ['times' => [5.0, 6.0, 2.5, 9.0, 12.0], 'ended' => [true, true, false, true, false]];

        return [
            'quantity.parse' => ['text' => '5 N'], 'quantity.convert' => [
                'value' => 1.0, 'unit' => 'N', 'to' => 'lbf',
            ], 'quantity.slip' => [
                'candidate' => ['value' => 4.0, 'unit' => 'N'], 'previous' => [40.0, 41.0, 42.0],
            ],
            'formula.check' => ['expression' => 'a * b', 'variables' => ['a' => 'N', 'b' => 'm']], 'formula.evaluate' => [
                'expression' => 'a / b', 'variables' => ['a' => ['value' => 3.0, 'unit' => 'N'], 'b' => ['value' => 2.0, 'unit' => 'm']],
            ],
            'stats.describe' => ['values' => $t], 'stats.compare' => [
                'a' => $t, 'b' => [2.0, 3.0, 7.0],
            ], 'stats.rank' => ['a' => $t, 'b' => [2.0, 3.0, 7.0]], 'stats.proportion' => ['held' => 3, 'tried' => 5],
            'stats.compareProportions' => [
                'a' => ['held' => 3, 'tried' => 5], 'b' => ['held' => 1, 'tried' => 4],
            ], 'stats.binomial' => [
                'held' => 3, 'tried' => 5, 'chance' => 0.3,
            ], 'stats.demonstration' => ['reliability' => 0.9, 'failures' => 1],
            'stats.tolerance' => ['n' => 5, 'coverage' => 0.9], 'stats.sampleSize' => ['sd' => 1.0, 'difference' => 2.0], 'stats.anova' => [
                'y' => [1.0, 2.0, 3.0, 4.5], 'factors' => ['f' => ['a', 'a', 'b', 'b']],
            ],
            'stats.friedman' => ['blocks' => [[1.0, 2.0, 3.0], [2.0, 1.0, 3.0]]], 'stats.regress' => [
                'x' => $t, 'y' => [2.0, 3.0, 5.0, 7.0, 11.0], 'at' => [4.0],
            ], 'stats.holm' => ['p' => [0.01, 0.5]],
            'threshold.ladder' => [
                'rungs' => [['level' => 1.0, 'held' => 2, 'tried' => 2], ['level' => 2.0, 'held' => 1, 'tried' => 2]],
            ], 'threshold.staircase' => ['levels' => [1.0, 2.0, 1.0, 2.0], 'held' => [true, false, true, false], 'step' => 1.0],
            'threshold.logit' => [
                'levels' => [1.0, 2.0, 3.0], 'held' => [3, 2, 0], 'tried' => [3, 3, 3],
            ], 'survival.kaplanMeier' => $lives, 'survival.logRank' => ['groups' => [$lives, $lives]], 'survival.weibull' => $lives, 'reliability.growth' => [
                'failures' => [3.0, 9.0, 20.0], 'until' => 30.0,
            ],
            'curve.milestones' => ['t' => $t, 'y' => $t, 'targets' => [4.0]], 'curve.exponential' => [
                't' => $t, 'y' => [50.0, 40.0, 33.0, 25.0, 21.0],
            ], 'curve.standardise' => [
                'k' => 0.2, 'from' => 90.0, 'to' => 40.0, 'ambient' => 20.0,
            ],
            'curve.optimum' => [
                'x' => $t, 'y' => [1.0, 4.0, 5.0, 4.0, -2.0], 'direction' => 'maximum',
            ], 'curve.returns' => [
                'amount' => $t, 'result' => [1.0, 4.0, 5.0, 5.5, 5.6],
            ], 'curve.decimate' => ['t' => $t, 'y' => $t, 'points' => 4],
            'plan.ladder' => ['levels' => $t], 'plan.sweep' => [
                'levels' => $t, 'repeats' => 2, 'order' => 'random', 'seed' => 7,
            ], 'plan.matrix' => [
                'factors' => ['a' => ['x', 'y'], 'b' => ['u', 'v']],
            ], 'plan.pairs' => ['arms' => ['x', 'y'], 'repeats' => 3],
            'plan.panel' => ['items' => ['p', 'q', 'r'], 'raters' => 6], 'panel.analyse' => [
                'ratings' => [
                    ['rater' => '1', 'item' => 'p', 'value' => 3.0], ['rater' => '1', 'item' => 'q', 'value' => 4.0],
                    ['rater' => '2', 'item' => 'p', 'value' => 2.0], ['rater' => '2', 'item' => 'q', 'value' => 5.0],
                ],
            ],
            'panel.rank' => [
                'comparisons' => [['winner' => 'p', 'loser' => 'q'], ['winner' => 'q', 'loser' => 'p']],
            ], 'evidence.assess' => [
                'requirement' => ['kind' => 'mean', 'limit' => 3.0], 'results' => [['value' => 4.0], ['value' => 4.1], ['value' => 4.2]],
            ],
            'evidence.carry' => [
                'dependsOn' => ['shape'], 'changes' => [['what' => 'x', 'class' => 'shape']],
            ], 'compare.footing' => [
                'a' => ['method' => 'x'], 'b' => ['method' => 'x'],
            ], 'change.verdict' => ['expected' => 1.0, 'before' => $t, 'after' => $t],
            'quantity.read' => ['text' => 'about 3-4 m/s', 'dimension' => 'speed'],
            'stats.compareWithin' => ['runs' => self::alike([
                ['a', 'x', 4.0], ['a', 'x', 5.0], ['a', 'y', 9.0], ['b', 'x', 6.0], ['b', 'y', 9.5], ['b', 'y', 12.0],
            ])],
            'stats.compareSides' => ['runs' => self::alike([
                ['p', 'x', 4.0], ['q', 'x', 5.0], ['r', 'x', 7.0], ['p', 'y', 9.0], ['q', 'y', 9.5], ['r', 'y', 12.0],
            ])],
            'stats.compareProportionsWithin' => ['runs' => array_map(
                static fn (array $r): array => ['side' => $r[0], 'cell' => $r[1], 'held' => $r[2]],
                [['a', 'x', true], ['a', 'x', false], ['b', 'x', true], ['b', 'x', true]],
            )],
            'stats.compareSpread' => ['a' => $t, 'b' => [2.0, 3.0, 7.0]],
            'stats.censored' => ['values' => [['value' => 4.0], ['value' => 5.0], ['value' => 6.0, 'kind' => 'atLeast']]],
            'results.merge' => ['results' => [['value' => 4.0], ['value' => 5.0, 'kind' => 'atLeast'], ['kind' => 'lost']]],
            'failure.status' => ['failure' => ['severity' => 2.0], 'runs' => [
                ['id' => 'r', 'revision' => 'B', 'carriesFix' => true, 'severity' => 2.0, 'outcome' => 'held'],
            ]],
            'compare.breakEven' => [
                'a' => ['values' => [4.0, 5.0], 'condition' => null], 'b' => ['values' => [6.0, 6.5], 'condition' => 18.0],
                'effect' => ['kind' => 'slope', 'slope' => 0.5],
            ],
            'compare.control' => [
                'factors' => [['name' => 'plate'], ['name' => 'glue']], 'runs' => [['plate' => 'a', 'glue' => 'b']], 'costPerRun' => 1.5,
            ],
            'stats.untilWidth' => ['values' => $t, 'halfWidth' => 1.5],
            'check.relations' => ['readings' => [
                ['what' => 'voltage', 'value' => 12.0, 'unit' => 'V', 'u' => 0.1], ['what' => 'current', 'value' => 2.0, 'unit' => 'A'],
                ['what' => 'resistance', 'value' => 5.0, 'unit' => 'Ω', 'resolution' => 0.5],
            ]],
            'check.instrument' => [
                'instrument' => ['lag' => ['value' => 2.0, 'unit' => 's'], 'rate' => ['value' => 5.0, 'unit' => 'Hz']],
                'event' => ['duration' => ['value' => 9.0, 'unit' => 's']],
            ],
            'check.rehearsal' => [
                'use' => [['what' => 'mass', 'value' => 7.0, 'unit' => 'kg']],
                'rehearsal' => [['what' => 'mass', 'value' => 5.0, 'unit' => 'lb']],
            ],
            'workings.list' => [],
            'workings.run' => ['name' => 'drop', 'inputs' => [
                'height' => ['value' => 1.2, 'unit' => 'm', 'u' => 0.01], 'mass' => ['value' => 2.5, 'unit' => 'kg'],
            ], 'units' => ['energy' => 'kJ']],
            'check.claims' => ['text' => 'It is stronger.'],
            'setting.next' => [
                'tried' => [['value' => 2.0, 'result' => 'low'], ['value' => 8.0, 'result' => 'high']],
                'range' => ['low' => 1.0, 'high' => 9.0],
            ],
        ];
    }

    /**
     * @param list<array{string, string, float}> $rows
     *
     * @return list<array<string, mixed>>
     */
    private static function alike(array $rows): array
    {
        return array_map(static fn (array $r): array => ['side' => $r[0], 'cell' => $r[1], 'value' => $r[2]], $rows);
    }

    /** @return iterable<string, array{string}> */
    public static function operations(): iterable
    {
        foreach (array_keys(Catalogue::operations()) as $name) {
            yield $name => [$name];
        }
    }

    #[DataProvider('operations')]
    public function testEveryEdgeIsAnswered(string $op): void
    {
        $sound = self::sound()[$op] ?? self::fail('No sound input for '.$op);
        $answer = Catalogue::answer(['op' => $op, 'input' => $sound]);
        self::assertTrue($answer['ok'], json_encode($answer) ?: '');
        self::assertNotFalse(json_encode($answer), 'No NaN and nothing infinite.');
        self::refuses($op, $sound + ['colour' => 'red'], 'input.unknown');
        foreach ($sound as $field => $value) {
            foreach ([null, 'text', [], [[]], ['x' => 1], -1, 0, 1, true, [true], ['text'], [1e308, -1e308], [0.0, 0.0, 0.0], [1.0], array_fill(0, 7, 2.5)] as $odd) {
                self::isAnswered($op, [$field => $odd] + $sound);
            }
            if (is_array($value) && array_is_list($value)) {
                self::isAnswered($op, [$field => []] + $sound);
                self::isAnswered($op, [$field => array_slice($value, 1)] + $sound);
                self::isAnswered($op, [$field => array_fill(0, count($value), $value[0])] + $sound);
                self::isAnswered($op, [$field => [...$value, 'text']] + $sound);
            }
        }
    }

    #[DataProvider('operations')]
    public function testSizeDoesNotMatter(string $op): void
    {
        foreach ([1e-12, 1e12] as $scale) {
            $scaled = self::sound()[$op];
            array_walk_recursive($scaled, static function (mixed &$v, int|string $key) use ($scale): void {
                $v = is_float($v) && !in_array($key, ['chance', 'reliability', 'coverage'], true) ? $v * $scale : $v;
            });
            self::isAnswered($op, $scaled);
        }
    }

    /** @param array<string, mixed> $input */
    private static function isAnswered(string $op, array $input): void
    {
        $answer = Catalogue::answer(['op' => $op, 'input' => $input]);
        self::assertNotFalse(json_encode($answer), $op.' '.(json_encode($input) ?: ''));
        if (!$answer['ok']) {
            self::assertMatchesRegularExpression('/^[a-z]+\.[a-zA-Z]+$/', $answer['error']['code'] ?? '');
            self::assertMatchesRegularExpression('/[.?!”]$/u', $answer['error']['message'] ?? '');
        }
    }

    /** @param array<string, mixed> $input */
    private static function refuses(string $op, array $input, string $code): void
    {
        self::assertSame($code, Catalogue::answer(['op' => $op, 'input' => $input])['error']['code'] ?? null);
    }
}
