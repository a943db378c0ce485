<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\Calc\Catalogue;
use Lustrum\Core\Reliability\Lives;
use Lustrum\Core\Reliability\Weibull;
use Lustrum\Core\Reliability\WeibullLikelihood;
use Lustrum\Core\Statistics\Distribution\Binomial;
use Lustrum\Core\Statistics\Distribution\ChiSquare;
use Lustrum\Core\Statistics\Distribution\FisherF;
use Lustrum\Core\Statistics\Distribution\StudentT;
use Lustrum\Core\Statistics\Planning;
use PHPUnit\Framework\TestCase;

/** Values from an independent implementation (R 4.2), to all the digits that it prints. */
final class InferenceTest extends TestCase
{
    private const LIVES = [
        'times' => [5, 6, 6, 2.5, 4, 9, 12, 3, 3, 7], 'ended' => [true, true, false, true, true, false, true, true, true, false],
    ];

    /**
     * @param array<string, mixed> $input
     *
     * @return array<string, mixed>
     */
    private static function answer(string $op, array $input): array
    {
        $answer = Catalogue::answer(['op' => $op, 'input' => $input]);
        self::assertTrue($answer['ok'], json_encode($answer) ?: '');

        return $answer['output'] ?? [];
    }

    /** @param array<string, mixed> $input */
    private static function code(string $op, array $input): string
    {
        return Catalogue::answer(['op' => $op, 'input' => $input])['error']['code'] ?? 'ok';
    }

    private static function near(float $expected, mixed $got, float $relative = 1e-9): void
    {
        self::assertIsNumeric($got);
        self::assertEqualsWithDelta($expected, (float) $got, $relative * abs($expected));
    }

    public function testFarTailsAndFractionalDegreesOfFreedom(): void
    {
        self::near(4.23543819896928e-7, FisherF::upper(55, 3, 11.5));
        self::near(2.7749112361135e-65, ChiSquare::upper(300, 2.5));
        self::near(1.06393286675157e-5, ChiSquare::quantile(1e-10, 3.7));
        self::near(36.7807120840356, ChiSquare::quantile(0.975, 22));
        self::near(2.63487, FisherF::quantile(0.95, 3, 40) * 0.92782, 0.01);
        self::near(0.5 ** 40, Binomial::atLeast(40, 40, 0.5));
        self::near(0.0009765625 * 11, Binomial::atLeast(9, 10, 0.5));
        self::near(0.541429333834495, Planning::power(1, 1.2, 7, 0.95, false), 1e-10);
    }

    public function testRanks(): void
    {
        $r = self::answer('stats.rank', ['a' => [1.1, 2.2, 2.9, 4.7, 6.1], 'b' => [3.3, 5.2, 7.7, 8.1, 9.9, 12]]);
        self::near(0.0303030303030303, $r['p']);
        self::assertSame('exact', $r['method']);
        self::near(1.0, self::answer('stats.rank', ['a' => [2, 2], 'b' => [2, 2]])['p']);
    }

    public function testAnovaWithUnequalCells(): void
    {
        $y = [4.1, 5.2, 6.3, 4.4, 5.9, 7.7, 4.0, 6.8, 7.1, 5.0];
        $factors = ['a' => str_split('abcabcaccb'), 'b' => str_split('xxxyyyyxyy')];
        $out = self::answer('stats.anova', ['y' => $y, 'factors' => $factors, 'interactions' => [['a', 'b']]]);
        $terms = is_array($out['terms']) ? array_column($out['terms'], 'ss', 'name') : [];
        self::near(14.350476190476188, $terms['a']);
        self::near(0.502976190476191, $terms['b']);
        self::near(0.267857142857142, $terms['a:b']);
        $empty = ['a' => ['p', 'p', 'q', 'q'], 'b' => ['u', 'v', 'u', 'u']];
        self::assertSame(
            'term.inestimable', self::code('stats.anova', ['y' => [1, 2, 3, 4], 'factors' => $empty, 'interactions' => [['a', 'b']]]),
            'q with v was never run.',
        );
        self::assertSame(
            'term.inestimable',
            self::code('stats.anova', ['y' => [1, 2, 3, 4], 'factors' => ['a' => ['p', 'p', 'q', 'q'], 'b' => ['u', 'u', 'v', 'v']]]),
            'Two factors that are one.',
        );
    }

    public function testAPolynomialFarFromNought(): void
    {
        $out = self::answer(
            'stats.regress', ['x' => range(2001, 2006), 'y' => array_map(log(...), [1, 2, 3, 4, 5, 6.5]), 'degree' => 2, 'at' => [2004]],
        );
        $prediction = is_array($out['predictions']) ? $out['predictions'][0] : null;
        self::assertInstanceOf(\Lustrum\Core\Statistics\Interval::class, $prediction);
        self::near(1.42425709860981, $prediction->estimate, 1e-8);
        self::near(1.13435430506326, $prediction->low, 1e-8);
        self::assertSame('x.dependent', self::code('stats.regress', ['x' => [3, 3, 3], 'y' => [1, 2, 3]]));
        self::assertSame('x.dependent', self::code('stats.regress', ['x' => [1, 2], 'y' => [1, 2], 'degree' => 2]));
        $plane = self::answer('stats.regress', ['x' => [[1, 0], [0, 1], [1, 1], [2, 1]], 'y' => [5, 4, 7, 10], 'at' => [[3, 2]]]);
        self::near(
            15.0,
            is_array($plane['predictions']) && $plane['predictions'][0] instanceof \Lustrum\Core\Statistics\Interval ? $plane['predictions'][0]->estimate : NAN,
        );
    }

    public function testPlanning(): void
    {
        // Success-run theorem: 22 without a failure for 90 %, 59 for 95 %, at 95 % and 90 % confidence 29 and 45.
        foreach ([[0.9, 0.9, 22], [0.95, 0.95, 59], [0.9, 0.95, 29], [0.95, 0.9, 45]] as [$reliability, $confidence, $trials]) {
            self::assertSame(
                $trials,
                self::answer(
                    'stats.demonstration', ['reliability' => $reliability, 'confidence' => $confidence, 'failures' => 0],
                )['trials'],
            );
        }
        // Cohen (1988), table 2.4.1: d = 0.5, power 0.80: 64 an arm.
        self::assertSame(64, self::answer('stats.sampleSize', ['sd' => 1, 'difference' => 0.5])['perArm']);
        self::assertSame('input.invalid', self::code('stats.sampleSize', ['sd' => 1, 'difference' => 0]));
        self::assertSame('runs.tooMany', self::code('stats.sampleSize', ['sd' => 1, 'difference' => 1e-6]));
    }

    public function testLives(): void
    {
        $km = self::answer('survival.kaplanMeier', self::LIVES);
        self::assertSame([5.0, 2.5, null], [$km['median'], $km['low'], $km['high']]);
        $rank = self::answer(
            'survival.logRank',
            [
                'groups' => [
                    ['times' => [5, 6, 6, 2.5], 'ended' => [true, true, false, true]],
                    ['times' => [4, 9, 12], 'ended' => [true, false, true]], ['times' => [3, 3, 7], 'ended' => [true, true, false]],
                ],
            ],
        );
        self::near(0.9890698116011, $rank['chi2']);
        self::near(0.6285714285714286, $rank['p']);
        $weibull = Catalogue::answer(['op' => 'survival.weibull', 'input' => self::LIVES])['output'] ?? [];
        self::near(
            1.82564802602840, $weibull['shape'] instanceof \Lustrum\Core\Statistics\Interval ? $weibull['shape']->estimate : NAN, 1e-9,
        );
        self::near(-20.22613758763502, $weibull['logLikelihood']);
        $none = self::answer('survival.kaplanMeier', ['times' => [5, 6], 'ended' => [false, false]]);
        self::assertSame([[], null], [$none['steps'], $none['median']], 'Nothing ended: nothing is known but bounds.');
        self::assertSame('lives.equal', self::code('survival.weibull', ['times' => [5, 5, 5], 'ended' => [true, true, true]]));
        self::assertSame(
            'events.tooFew',
            self::code('survival.logRank', ['groups' => [['times' => [5], 'ended' => [false]], ['times' => [5], 'ended' => [false]]]]),
        );
    }

    public function testThresholds(): void
    {
        self::assertSame(
            'outcomes.same', self::code('threshold.staircase', ['levels' => [1, 2, 3], 'held' => [true, true, true], 'step' => 1]),
        );
        self::assertSame('levels.tooFew', self::code('threshold.logit', ['levels' => [2, 2], 'held' => [1, 2], 'tried' => [3, 3]]));
        // Cleanly separated outcomes: Firth's penalty keeps the curve finite and the threshold between them.
        $apart = self::answer(
            'threshold.logit', ['levels' => [10, 20, 30, 40], 'held' => [5, 5, 0, 0], 'tried' => [5, 5, 5, 5], 'at' => [0.9]],
        );
        self::near(25.0, $apart['level50'], 1e-9);
        self::assertLessThan(25, is_array($apart['at']) ? $apart['at'][0] : null);
        $failsFirst = self::answer(
            'threshold.ladder', ['rungs' => [['level' => 2, 'held' => 3, 'tried' => 3], ['level' => 1, 'held' => 1, 'tried' => 3]]],
        );
        self::assertSame([null, 1.0], [$failsFirst['highestHeld'], $failsFirst['lowestFailed']]);
    }

    public function testCurvesThatCannotBeFittedSaySo(): void
    {
        $t = [0, 1, 2, 3, 4, 5];
        self::assertSame('curve.straight', self::code('curve.exponential', ['t' => $t, 'y' => [0, 1, 2, 3, 4, 5]]));
        self::assertSame('curve.flat', self::code('curve.exponential', ['t' => $t, 'y' => [3, 3, 3, 3, 3, 3]]));
        self::assertSame('curve.tooFast', self::code('curve.exponential', ['t' => $t, 'y' => [9, 1, 1, 1, 1, 1]]));
        self::assertSame('optimum.none', self::code('curve.optimum', ['x' => $t, 'y' => [25, 16, 9, 4, 1, 0], 'direction' => 'maximum']));
        // An exact curve gives its parameters back, however slow or fast it is.
        foreach ([1e-3, 0.4, 2.5] as $k) {
            $y = array_map(static fn (float $x): float => 20 + 60 * exp(-$k * $x), array_map(floatval(...), range(0, 12)));
            $fit = self::answer('curve.exponential', ['t' => range(0, 12), 'y' => $y, 'ambient' => 20]);
            self::near($k, $fit['k'], 1e-6);
            self::near(80.0, $fit['start'], 1e-6);
        }
        $y = array_map(static fn (int $i): ?float => $i === 500 ? null : ($i === 321 ? 99.0 : sin($i / 50)), range(0, 999));
        $few = self::answer('curve.decimate', ['t' => range(0, 999), 'y' => $y, 'points' => 50]);
        self::assertIsArray($few['y']);
        self::assertLessThanOrEqual(52, count($few['y']));
        self::assertContains(99.0, $few['y'], 'The peak is kept.');
        self::assertContains(null, $few['y'], 'The gap is kept.');
    }

    public function testPlansComeOutTheSameEverywhere(): void
    {
        $plan = [
            'levels' => [1, 2, 3, 4], 'repeats' => 3, 'order' => 'blocks', 'seed' => 42,
            'minutes' => ['setUp' => 10, 'run' => 5, 'reset' => 1, 'change' => 2], 'sd' => 1.5,
        ];
        $out = self::answer('plan.sweep', $plan);
        self::assertSame($out, self::answer('plan.sweep', $plan));
        self::assertNotSame($out['runs'], self::answer('plan.sweep', ['seed' => 43] + $plan)['runs']);
        self::assertIsArray($out['runs']);
        foreach (array_chunk(array_map(static fn (mixed $r): mixed => is_array($r) && is_array($r['setting']) ? $r['setting']['level'] : null, $out['runs']), 4) as $block) {
            self::assertEqualsCanonicalizing([1.0, 2.0, 3.0, 4.0], $block);
        }
        self::assertGreaterThan(10 + 12 * 5 + 11, $out['minutes']);
        self::assertSame('xoshiro256**', $out['generator']);
        self::assertSame(6, count((array) self::answer('plan.matrix', ['factors' => ['a' => ['x', 'y'], 'b' => ['u', 'v', 'w']]])['runs']));
        self::assertSame(
            'input.invalid',
            self::code(
                'plan.matrix', ['factors' => ['a' => array_map(strval(...), range(1, 40)), 'b' => array_map(strval(...), range(1, 40))]],
            ),
        );
    }

    public function testServingOrdersAreBalanced(): void
    {
        foreach ([[4, 4], [4, 8], [5, 10], [6, 6], [3, 6], [7, 14]] as [$items, $raters]) {
            $names = array_map(static fn (int $i): string => 'item '.$i, range(1, $items));
            $out = self::answer('plan.panel', ['items' => $names, 'raters' => $raters, 'seed' => 3]);
            self::assertTrue(is_array($out['balance']) && $out['balance']['balanced'], $items.' items, '.$raters.' raters');
        }
        $uneven = self::answer('plan.panel', ['items' => ['p', 'q', 'r', 's'], 'raters' => 5, 'seed' => 3]);
        self::assertFalse(is_array($uneven['balance']) && $uneven['balance']['balanced']);
        self::assertCount(4, array_flip(array_filter((array) $uneven['codes'], is_string(...))));
    }

    public function testPanels(): void
    {
        $wins = static fn (string ...$pairs): array => [
            'comparisons' => array_map(static fn (string $p): array => ['winner' => $p[0], 'loser' => $p[1]], array_values($pairs)),
        ];
        self::assertSame('table.disconnected', self::code('panel.rank', $wins('ab', 'ba', 'cd', 'dc')));
        self::assertSame('table.oneSided', self::code('panel.rank', $wins('ab', 'bc', 'cb', 'ac')));
        // Two items: the strengths are the shares, and the error of the log ratio is √(1/w + 1/l).
        $two = self::answer('panel.rank', $wins('ab', 'ab', 'ab', 'ba'));
        self::near(0.75, is_array($two['strengths']) ? $two['strengths']['a'] : null, 1e-9);
        self::near(sqrt(1 / 3 + 1) / 2, is_array($two['se']) ? $two['se']['a'] : null, 1e-8);
    }

    /** Of many lives the ends are found in another way, and are the same: where the likelihood has fallen as far. */
    public function testTheEndsOfManyLivesAreThoseOfTheProfile(): void
    {
        $n = 700;
        $times = array_map(static fn (int $i): float => 100 * (-log(($i - 0.5) / $n)) ** (1 / 1.7), range(1, $n));
        $lives = Lives::of(array_map(static fn (float $t): float => min($t, 150.0), $times), array_map(static fn (float $t): bool => $t < 150, $times));
        $found = Weibull::of($lives, 10, 0.95);
        $likelihood = WeibullLikelihood::of(array_map(log(...), $lives->times), $lives->ended);
        $events = $lives->events();
        $fall = $events * log(1 + StudentT::quantile(0.975, $events - 1) ** 2 / ($events - 1)) / 2;
        $q = log(-log(0.9));
        foreach ([$found->life->low, $found->life->high] as $end) {
            self::assertEqualsWithDelta($found->logLikelihood - $fall, $likelihood->ofLife(log((float) $end), $q), 1e-6);
        }
        foreach ([$found->shape->low, $found->shape->high] as $end) {
            self::assertEqualsWithDelta($found->logLikelihood - $fall, $likelihood->ofShape((float) $end), 1e-6);
        }
        self::assertLessThan($found->life->estimate, $found->life->low);
        self::assertGreaterThan($found->life->estimate, $found->life->high);
    }
}
