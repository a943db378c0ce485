<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\Calc\Catalogue;
use PHPUnit\Framework\TestCase;

/**
 * What must hold of a sum whatever the numbers are: the order in which runs were made, the unit that they were written in,
 * which side is named first and what things are called are no part of the conclusion; more of the same never says less.
 *
 * The numbers come from a generator with a fixed seed, so that a failure can be looked at again.
 */
final class PropertyTest extends TestCase
{
    private const TIMES = 12;

    /** 1 lbf in N, and other factors that a change of unit may be. */
    private const FACTORS = [4.4482216152605, 0.001, 1e6, 25.4];

    protected function setUp(): void
    {
        mt_srand(20260302);
    }

    public function testASampleIsTheSameInAnyOrderAndUnit(): void
    {
        foreach (self::samples() as $values) {
            $is = self::answer('stats.describe', ['values' => $values]);
            self::same($is, self::answer('stats.describe', ['values' => self::shuffled($values)]));
            foreach (self::FACTORS as $k) {
                $scaled = self::answer('stats.describe', ['values' => self::times($values, $k)]);
                foreach (['mean', 'sd', 'se', 'median', 'min', 'max', 'low', 'high'] as $name) {
                    self::near($k * self::number($is, $name), self::number($scaled, $name), $name);
                }
            }
            $moved = self::answer('stats.describe', ['values' => self::plus($values, 100.0)]);
            self::near(self::number($is, 'sd'), self::number($moved, 'sd'), 'sd');
            self::near(self::number($is, 'mean') + 100.0, self::number($moved, 'mean'), 'mean');
            $wider = self::answer('stats.describe', ['values' => $values, 'confidence' => 0.99]);
            self::assertLessThan(self::number($is, 'low'), self::number($wider, 'low'));
            self::assertGreaterThan(self::number($is, 'high'), self::number($wider, 'high'));
        }
    }

    public function testAComparisonTurnsAroundWithItsSides(): void
    {
        foreach (self::samples() as $i => $a) {
            $b = self::plus(self::sample(4 + $i % 5), ($i % 3) * 4.0);
            $is = self::answer('stats.compare', ['a' => $a, 'b' => $b]);
            $turned = self::answer('stats.compare', ['a' => self::shuffled($b), 'b' => self::shuffled($a)]);
            self::near(-self::number($is, 'difference', 'estimate'), self::number($turned, 'difference', 'estimate'), 'estimate');
            self::near(-self::number($is, 'difference', 'low'), self::number($turned, 'difference', 'high'), 'low');
            self::near(self::number($is, 'p'), self::number($turned, 'p'), 'p');
            $opposite = ['higher' => 'lower', 'lower' => 'higher', 'indistinct' => 'indistinct'];
            self::assertSame($opposite[self::word($is, 'verdict')], self::word($turned, 'verdict'));
            foreach (self::FACTORS as $k) {
                $scaled = self::answer('stats.compare', ['a' => self::times($a, $k), 'b' => self::times($b, $k)]);
                self::assertSame($is['verdict'], $scaled['verdict']);
                foreach (['percent', 'low', 'high'] as $name) {
                    self::near(self::number($is, 'change', $name), self::number($scaled, 'change', $name), 'change '.$name);
                }
                self::near(self::number($is, 'df'), self::number($scaled, 'df'), 'df');
            }
            $moved = self::answer('stats.compare', ['a' => self::plus($a, 7.0), 'b' => self::plus($b, 7.0)]);
            self::near(self::number($is, 'difference', 'high'), self::number($moved, 'difference', 'high'), 'moved');
        }
    }

    public function testPairsBelongTogetherInAnyOrder(): void
    {
        foreach (self::samples() as $a) {
            $b = array_map(static fn (float $v): float => $v + 1.0 + mt_rand() / mt_getrandmax(), $a);
            $is = self::answer('stats.compare', ['a' => $a, 'b' => $b, 'paired' => true]);
            $order = self::shuffled(array_keys($a));
            $other = self::answer('stats.compare', [
                'a' => array_map(static fn (int $i): float => $a[$i], $order),
                'b' => array_map(static fn (int $i): float => $b[$i], $order), 'paired' => true,
            ]);
            self::same($is, $other);
            // Articles that differ among themselves do not matter where each is compared with itself.
            $spread = array_map(static fn (int $i): float => 50.0 * $i, array_keys($a));
            $apart = self::answer('stats.compare', [
                'a' => array_map(static fn (float $v, float $s): float => $v + $s, $a, $spread),
                'b' => array_map(static fn (float $v, float $s): float => $v + $s, $b, $spread), 'paired' => true,
            ]);
            self::near(self::number($is, 'difference', 'low'), self::number($apart, 'difference', 'low'), 'low', 1e-6);
            self::assertSame('higher', $apart['verdict']);
        }
    }

    public function testSharesAndTheirComplements(): void
    {
        for ($tried = 1; $tried <= 30; $tried += 4) {
            $before = -1.0;
            for ($held = 0; $held <= $tried; ++$held) {
                $is = self::answer('stats.proportion', ['held' => $held, 'tried' => $tried]);
                $not = self::answer('stats.proportion', ['held' => $tried - $held, 'tried' => $tried]);
                self::near(1 - self::number($is, 'low'), self::number($not, 'high'), 'complement');
                self::assertLessThanOrEqual(self::number($is, 'estimate'), self::number($is, 'lower'));
                self::assertGreaterThanOrEqual(self::number($is, 'low'), self::number($is, 'lower'));
                self::assertGreaterThan($before, self::number($is, 'lower'));
                $before = self::number($is, 'lower');
            }
        }
    }

    public function testTwoSharesTurnAround(): void
    {
        foreach ([[0, 5, 5, 5], [3, 9, 8, 11], [10, 10, 10, 10], [1, 30, 2, 7], [20, 21, 3, 20]] as [$h, $n, $k, $m]) {
            [$a, $b] = [['held' => $h, 'tried' => $n], ['held' => $k, 'tried' => $m]];
            $is = self::answer('stats.compareProportions', ['a' => $a, 'b' => $b]);
            $turned = self::answer('stats.compareProportions', ['a' => $b, 'b' => $a]);
            self::near(self::number($is, 'p'), self::number($turned, 'p'), 'p');
            self::near(-self::number($is, 'difference', 'low'), self::number($turned, 'difference', 'high'), 'difference');
            $failed = self::answer('stats.compareProportions', [
                'a' => ['held' => $n - $h, 'tried' => $n], 'b' => ['held' => $m - $k, 'tried' => $m],
            ]);
            self::near(self::number($is, 'p'), self::number($failed, 'p'), 'of those that failed');
            self::near(-self::number($is, 'difference', 'estimate'), self::number($failed, 'difference', 'estimate'), 'estimate');
        }
    }

    public function testRanksSeeNothingButTheOrder(): void
    {
        foreach (self::samples() as $i => $a) {
            $b = self::sample(3 + $i % 6);
            $is = self::answer('stats.rank', ['a' => $a, 'b' => $b]);
            $turned = self::answer('stats.rank', ['a' => self::shuffled($b), 'b' => self::shuffled($a)]);
            self::near(self::number($is, 'p'), self::number($turned, 'p'), 'p');
            self::near(-self::number($is, 'shift'), self::number($turned, 'shift'), 'shift');
            self::near(count($a) * count($b) - self::number($is, 'u'), self::number($turned, 'u'), 'u');
            $bent = static fn (array $of): array => array_map(static fn (float $v): float => exp($v / 5), $of);
            $stretched = self::answer('stats.rank', ['a' => $bent($a), 'b' => $bent($b)]);
            self::near(self::number($is, 'u'), self::number($stretched, 'u'), 'u');
            self::near(self::number($is, 'p'), self::number($stretched, 'p'), 'p');
        }
    }

    public function testTermsDoNotHangOnNamesOrRows(): void
    {
        $y = self::sample(12);
        $factors = ['plate' => ['a', 'a', 'b', 'b', 'c', 'c', 'a', 'a', 'b', 'b', 'c', 'c'], 'seed' => str_split('xyxyxyxyxyxy')];
        $is = self::answer('stats.anova', ['y' => $y, 'factors' => $factors]);
        $order = self::shuffled(array_keys($y));
        $take = static fn (array $of): array => array_map(static fn (int $i): mixed => $of[$i], $order);
        $shuffled = self::answer('stats.anova', ['y' => $take($y), 'factors' => array_map($take, $factors)]);
        $renamed = self::answer('stats.anova', ['y' => $y, 'factors' => [
            'plate' => array_map(static fn (string $l): string => strrev('plate '.$l), $factors['plate']), 'seed' => $factors['seed'],
        ]]);
        $scaled = self::answer('stats.anova', ['y' => self::times($y, 25.4), 'factors' => $factors]);
        foreach ([0, 1] as $term) {
            foreach (['df', 'f', 'p'] as $name) {
                $expected = self::number($is, 'terms', $term, $name);
                foreach ([$shuffled, $renamed, $scaled] as $other) {
                    self::near($expected, self::number($other, 'terms', $term, $name), $name, 1e-8);
                }
            }
            self::near(25.4 ** 2 * self::number($is, 'terms', $term, 'ss'), self::number($scaled, 'terms', $term, 'ss'), 'ss', 1e-8);
        }
    }

    public function testRatersMayUseTheirScaleAsTheyLike(): void
    {
        $blocks = array_map(static fn (): array => self::sample(4), range(1, 7));
        $is = self::answer('stats.friedman', ['blocks' => $blocks]);
        $own = array_map(
            static fn (array $row, int $i): array => array_map(static fn (float $v): float => ($i + 1) * $v ** 3, $row), $blocks,
            array_keys($blocks),
        );
        self::same($is, self::answer('stats.friedman', ['blocks' => $own]));
        self::same($is, self::answer('stats.friedman', ['blocks' => self::shuffled($blocks)]));
        $columns = [2, 0, 3, 1];
        $items = array_map(static fn (array $row): array => array_map(static fn (int $c): float => $row[$c], $columns), $blocks);
        self::same($is, self::answer('stats.friedman', ['blocks' => $items]));
    }

    public function testALineIsTheSameWhereverItIsMeasuredFrom(): void
    {
        foreach (self::samples() as $y) {
            $x = array_map(static fn (int $i): float => 1.5 * $i, array_keys($y));
            $is = self::answer('stats.regress', ['x' => $x, 'y' => $y, 'at' => [2.0]]);
            $moved = self::answer('stats.regress', ['x' => self::plus($x, 1000.0), 'y' => $y, 'at' => [1002.0]]);
            self::near(
                self::number($is, 'coefficients', 1, 'estimate'), self::number($moved, 'coefficients', 1, 'estimate'), 'slope', 1e-7,
            );
            self::near(self::number($is, 'r2'), self::number($moved, 'r2'), 'r2', 1e-7);
            foreach (['estimate', 'low', 'high'] as $name) {
                self::near(self::number($is, 'predictions', 0, $name), self::number($moved, 'predictions', 0, $name), $name, 1e-7);
            }
            $scaled = self::answer('stats.regress', ['x' => $x, 'y' => self::times($y, 4.4482216152605), 'at' => [2.0]]);
            self::near(
                4.4482216152605 * self::number($is, 'predictions', 0, 'high'), self::number($scaled, 'predictions', 0, 'high'), 'high',
            );
        }
    }

    public function testSeveralLooksNeverSayMoreThanOne(): void
    {
        for ($i = 0; $i < self::TIMES; ++$i) {
            $p = [0.5];
            for ($k = 0; $k < $i; ++$k) {
                $p[] = mt_rand() / mt_getrandmax();
            }
            $adjusted = array_map(self::float(...), (array) self::answer('stats.holm', ['p' => $p])['adjusted']);
            foreach ($p as $at => $one) {
                self::assertGreaterThanOrEqual($one, $adjusted[$at]);
                self::assertLessThanOrEqual(1.0, $adjusted[$at]);
                foreach ($p as $other => $two) {
                    self::assertTrue($one > $two || $adjusted[$at] <= $adjusted[$other], 'The order of p is kept.');
                }
            }
            self::near(min(1.0, count($p) * min($p)), min([1.0, ...$adjusted]), 'the least');
        }
    }

    public function testMoreArticlesAskForLessMargin(): void
    {
        $k = static fn (int $n, float $coverage, float $confidence): float => self::number(
            self::answer('stats.tolerance', ['n' => $n, 'coverage' => $coverage, 'confidence' => $confidence]), 'k',
        );
        foreach ([3, 5, 10, 30, 100] as $n) {
            self::assertGreaterThan($k($n + 1, 0.9, 0.95), $k($n, 0.9, 0.95));
            self::assertLessThan($k($n, 0.95, 0.95), $k($n, 0.9, 0.95));
            self::assertLessThan($k($n, 0.9, 0.99), $k($n, 0.9, 0.95));
        }
        foreach (self::samples() as $values) {
            $lower = self::answer('stats.tolerance', ['values' => $values, 'coverage' => 0.9, 'side' => 'lower']);
            $turned = self::answer('stats.tolerance', ['values' => self::times($values, -1.0), 'coverage' => 0.9, 'side' => 'upper']);
            self::near(-self::number($lower, 'bound'), self::number($turned, 'bound'), 'mirrored');
            self::assertLessThan(
                self::number(self::answer('stats.describe', ['values' => $values]), 'mean'), self::number($lower, 'bound'),
            );
        }
    }

    public function testWhatIsHarderToSeeTakesMoreRuns(): void
    {
        $runs = static fn (array $in): float => self::number(self::answer('stats.sampleSize', $in), 'perArm');
        foreach ([0.5, 1.0, 2.0] as $sd) {
            $needed = $runs(['sd' => $sd, 'difference' => 1.0]);
            self::assertGreaterThanOrEqual($needed, $runs(['sd' => 1.1 * $sd, 'difference' => 1.0]));
            self::assertGreaterThanOrEqual($needed, $runs(['sd' => $sd, 'difference' => 0.9]));
            self::assertGreaterThanOrEqual($needed, $runs(['sd' => $sd, 'difference' => 1.0, 'power' => 0.9]));
            self::assertGreaterThanOrEqual($needed, $runs(['sd' => $sd, 'difference' => 1.0, 'confidence' => 0.99]));
            self::near($needed, $runs(['sd' => 10 * $sd, 'difference' => 10.0]), 'in another unit');
            $found = self::number(self::answer('stats.sampleSize', ['sd' => $sd, 'perArm' => (int) $needed]), 'difference');
            self::assertLessThanOrEqual(1.0 + 1e-9, $found, 'So many find it.');
        }
        $trials = static fn (array $in): float => self::number(self::answer('stats.demonstration', $in), 'trials');
        self::assertLessThan($trials(['reliability' => 0.95]), $trials(['reliability' => 0.9]));
        self::assertLessThan($trials(['reliability' => 0.9, 'failures' => 1]), $trials(['reliability' => 0.9]));
        self::assertLessThan($trials(['reliability' => 0.9, 'confidence' => 0.99]), $trials(['reliability' => 0.9]));
    }

    public function testLivesAreTheSameInAnyUnitOfTime(): void
    {
        for ($i = 0; $i < self::TIMES; ++$i) {
            $times = array_map(static fn (float $v): float => abs($v) + 0.1, self::sample(8));
            $ended = array_map(static fn (): bool => mt_rand(0, 3) > 0, $times);
            $ended[0] = $ended[1] = true;
            $is = self::answer('survival.kaplanMeier', ['times' => $times, 'ended' => $ended]);
            $order = self::shuffled(array_keys($times));
            $later = array_map(static fn (int $k): float => $times[$k], $order);
            $so = array_map(static fn (int $k): bool => $ended[$k], $order);
            self::same($is, self::answer('survival.kaplanMeier', ['times' => $later, 'ended' => $so]));
            $hours = self::answer('survival.kaplanMeier', ['times' => self::times($times, 60.0), 'ended' => $ended]);
            self::assertSame($is['median'] === null, $hours['median'] === null);
            self::near(60.0 * self::number($is, 'median'), self::number($hours, 'median'), 'median');
            $before = 1.0;
            foreach ((array) $is['steps'] as $at => $_) {
                $share = self::number($is, 'steps', (int) $at, 'surviving');
                self::assertLessThanOrEqual($before, $share);
                self::near($share, self::number($hours, 'steps', (int) $at, 'surviving'), 'share');
                $before = $share;
            }
            $fit = self::answer('survival.weibull', ['times' => $times, 'ended' => $ended]);
            $other = self::answer('survival.weibull', ['times' => self::times($later, 60.0), 'ended' => $so]);
            self::near(self::number($fit, 'shape', 'estimate'), self::number($other, 'shape', 'estimate'), 'shape', 1e-6);
            self::near(60.0 * self::number($fit, 'scale', 'high'), self::number($other, 'scale', 'high'), 'scale', 1e-6);
            $groups = [['times' => $times, 'ended' => $ended], ['times' => self::plus($times, 2.0), 'ended' => array_fill(0, 8, true)]];
            $rank = self::answer('survival.logRank', ['groups' => $groups]);
            self::same($rank, self::answer('survival.logRank', ['groups' => array_reverse($groups)]));
            $squared = array_map(static fn (array $g): array => [
                'times' => array_map(static fn (float $t): float => $t ** 2, $g['times']), 'ended' => $g['ended'],
            ], $groups);
            self::same($rank, self::answer('survival.logRank', ['groups' => $squared]));
        }
    }

    public function testGrowthAndCoolingAreTheSameInAnyUnitOfTime(): void
    {
        $failures = [3.0, 8.0, 20.0, 41.0, 90.0, 160.0];
        $is = self::answer('reliability.growth', ['failures' => $failures, 'until' => 200.0]);
        $minutes = self::answer('reliability.growth', ['failures' => self::times($failures, 60.0), 'until' => 12000.0]);
        self::near(self::number($is, 'beta', 'low'), self::number($minutes, 'beta', 'low'), 'beta');
        self::near(60.0 * self::number($is, 'mtbfNow'), self::number($minutes, 'mtbfNow'), 'mtbf');
        self::assertSame($is['growing'], $minutes['growing']);
        $t = array_map(static fn (int $i): float => (float) $i, range(0, 30));
        $y = array_map(static fn (float $s): float => 20.0 + 60.0 * exp(-0.12 * $s) + 0.05 * sin(9 * $s), $t);
        $cools = self::answer('curve.exponential', ['t' => $t, 'y' => $y]);
        $slower = self::answer('curve.exponential', ['t' => self::times($t, 60.0), 'y' => $y]);
        self::near(self::number($cools, 'k') / 60.0, self::number($slower, 'k'), 'k', 1e-6);
        $fahrenheit = self::answer('curve.exponential', ['t' => $t, 'y' => array_map(static fn (float $v): float => 1.8 * $v + 32.0, $y)]);
        self::near(self::number($cools, 'k'), self::number($fahrenheit, 'k'), 'k', 1e-6);
        self::near(1.8 * self::number($cools, 'ambient') + 32.0, self::number($fahrenheit, 'ambient'), 'ambient', 1e-6);
    }

    public function testTheBestIsWhereItIsWhateverTheUnit(): void
    {
        $x = [1.0, 2.0, 3.0, 4.0, 5.0, 6.0, 7.0];
        $y = array_map(static fn (float $v): float => 40.0 - 2.0 * ($v - 4.2) ** 2 + 0.3 * sin(7 * $v), $x);
        $is = self::answer('curve.optimum', ['x' => $x, 'y' => $y, 'direction' => 'maximum']);
        $inches = self::answer('curve.optimum', ['x' => self::times($x, 25.4), 'y' => $y, 'direction' => 'maximum']);
        $mirrored = self::answer('curve.optimum', ['x' => $x, 'y' => self::times($y, -1.0), 'direction' => 'minimum']);
        foreach (['at', 'low', 'high'] as $name) {
            self::near(25.4 * self::number($is, $name), self::number($inches, $name), $name, 1e-7);
            self::near(self::number($is, $name), self::number($mirrored, $name), $name, 1e-7);
        }
        self::assertTrue($is['inside']);
    }

    public function testPreferencesDoNotHangOnNamesOrOrder(): void
    {
        $pairs = [['a', 'b'], ['a', 'b'], ['b', 'c'], ['a', 'c'], ['c', 'a'], ['b', 'a'], ['c', 'b'], ['a', 'd'], ['d', 'c'], ['d', 'a']];
        $ask = static fn (array $of): array => self::answer('panel.rank', ['comparisons' => array_map(
            static fn (array $p): array => ['winner' => $p[0], 'loser' => $p[1]], $of,
        )]);
        $is = $ask($pairs);
        $shuffled = $ask(self::shuffled($pairs));
        $renamed = $ask(array_map(static fn (array $p): array => ['item '.$p[0], 'item '.$p[1]], $pairs));
        $total = 0.0;
        foreach (['a', 'b', 'c', 'd'] as $item) {
            $strength = self::number($is, 'strengths', $item);
            self::near($strength, self::number($shuffled, 'strengths', $item), $item, 1e-7);
            self::near($strength, self::number($renamed, 'strengths', 'item '.$item), $item, 1e-7);
            $total += $strength;
        }
        self::near(1.0, $total, 'strengths');
    }

    public function testEvidenceIsTheSameInAnyOrderAndUnit(): void
    {
        foreach (['mean', 'every'] as $kind) {
            foreach (self::samples() as $values) {
                $requirement = ['kind' => $kind, 'direction' => 'atLeast', 'limit' => ['value' => 14.0, 'unit' => 'N']];
                $assess = static fn (array $of, string $unit, float $k): array => self::answer('evidence.assess', [
                    'requirement' => $requirement, 'results' => array_map(
                        static fn (float $v): array => ['kind' => 'equal', 'value' => ['value' => $v / $k, 'unit' => $unit]], $of,
                    ),
                ]);
                $is = $assess($values, 'N', 1.0);
                foreach ([['kN', 1000.0], ['lbf', 4.4482216152605], ['N', 1.0]] as [$unit, $k]) {
                    $other = $assess(self::shuffled($values), $unit, $k);
                    self::assertSame([$is['state'], $is['runsNeeded'], $is['n']], [$other['state'], $other['runsNeeded'], $other['n']]);
                    self::near(self::number($is, 'bound'), self::number($other, 'bound'), 'bound');
                }
                $mirrored = self::answer('evidence.assess', [
                    'requirement' => ['direction' => 'atMost', 'limit' => ['value' => -14.0, 'unit' => 'N']] + $requirement,
                    'results' => array_map(
                        static fn (float $v): array => ['kind' => 'equal', 'value' => ['value' => -$v, 'unit' => 'N']], $values,
                    ),
                ]);
                self::assertSame($is['state'], $mirrored['state']);
                self::near(-self::number($is, 'bound'), self::number($mirrored, 'bound'), 'mirrored');
            }
        }
    }

    public function testAskingForMoreNeverShowsMore(): void
    {
        // How sure it is that it is not met says nothing here: more confidence makes 'against' doubtful.
        $rank = ['against' => 0, 'doubtful' => 0, 'thin' => 1, 'none' => 2, 'leaning' => 3, 'shown' => 4];
        $state = static fn (array $requirement, array $values): int => $rank[self::word(self::answer('evidence.assess', [
            'requirement' => $requirement + ['kind' => 'mean', 'direction' => 'atLeast', 'limit' => 15.0],
            'results' => array_map(static fn (float $v): array => ['kind' => 'equal', 'value' => $v], $values),
        ]), 'state')];
        foreach (self::samples() as $values) {
            foreach (['mean', 'every'] as $kind) {
                $is = $state(['kind' => $kind], $values);
                self::assertLessThanOrEqual($is, $state(['kind' => $kind, 'limit' => 15.5], $values), 'A higher limit.');
                self::assertLessThanOrEqual($is, $state(['kind' => $kind, 'confidence' => 0.99], $values), 'More confidence.');
                self::assertLessThanOrEqual($state(['kind' => $kind], self::plus($values, 0.5)), $is, 'Better articles.');
            }
            self::assertLessThanOrEqual(
                $state(['kind' => 'mean'], $values), $state(['kind' => 'every', 'coverage' => 0.95], $values), 'Every one, not the mean.',
            );
        }
    }

    public function testOneMoreThatHoldsNeverSaysLess(): void
    {
        $bound = static fn (int $held, int $failed): float => self::number(self::answer('evidence.assess', [
            'requirement' => ['kind' => 'rate', 'direction' => 'atLeast', 'limit' => 0.9],
            'results' => [
                ...array_fill(0, $held, ['kind' => 'held']), ...array_fill(0, $failed, ['kind' => 'failed']),
                ['kind' => 'lost'], ['kind' => 'lost'],
            ],
        ]), 'bound');
        foreach ([1, 3, 9, 20, 45] as $held) {
            foreach ([0, 1, 4] as $failed) {
                self::assertGreaterThan($bound($held, $failed), $bound($held + 1, $failed));
                self::assertLessThan($bound($held, $failed), $bound($held, $failed + 1));
            }
        }
    }

    public function testThereAndBackIsTheSameQuantity(): void
    {
        $alike = [
            ['N', 'kN', 'lbf', 'ozf', 'kgf', 'gf'], ['mm', 'm', 'in', 'ft', 'yd', 'thou', 'mile', 'km'], ['°C', '°F', 'K'],
            [
                'Pa', 'bar', 'psi', 'kPa', 'N/mm^2',
            ], ['s', 'min', 'h', 'day', 'ms'], ['g', 'kg', 'lb', 'oz', 't'], ['L', 'mL', 'gal', 'm^3', 'cm^3'],
            ['W', 'hp', 'kW'], ['J', 'Wh', 'kWh'], ['km/h', 'm/s', 'mph', 'kn'], ['deg', 'rad'], ['A', 'mA'], ['Ah', 'mAh', 'C'],
        ];
        $to = static fn (float $v, string $unit, string $other): float => self::number(
            self::answer('quantity.convert', ['value' => $v, 'unit' => $unit, 'to' => $other]), 'value',
        );
        foreach ($alike as $units) {
            foreach ($units as $unit) {
                foreach ($units as $other) {
                    foreach ([0.0, 1.0, 12.7, -3.25] as $value) {
                        self::near($value, $to($to($value, $unit, $other), $other, $unit), "$value $unit by $other", 1e-11);
                        self::near($to($value, $unit, $units[0]), $to($to($value, $unit, $other), $other, $units[0]), 'by the way', 1e-11);
                    }
                }
            }
        }
    }

    public function testAFormulaIsTheSameWhateverItsUnits(): void
    {
        $cases = [
            ['F * r', ['F' => [12.5, 'N', 'lbf'], 'r' => [300.0, 'mm', 'in']], 'N·m'],
            ['m * g0 * h', ['m' => [2.0, 'kg', 'lb'], 'h' => [1.2, 'm', 'ft']], 'J'],
            ['U^2 / R', ['U' => [12.0, 'V', 'mV'], 'R' => [4.7, 'Ω', 'Ω']], 'W'],
            ['sqrt(2 * g0 * h)', ['h' => [80.0, 'cm', 'in']], 'm/s'],
            ['atan2(y, x)', ['y' => [3.0, 'mm', 'in'], 'x' => [4.0, 'mm', 'in']], 'deg'],
            ['max(a, b) - min(a, b)', ['a' => [3.0, 'mm', 'in'], 'b' => [1.0, 'in', 'mm']], 'mm'],
        ];
        foreach ($cases as [$expression, $variables, $unit]) {
            $as = static fn (bool $other): array => array_map(static function (array $v) use ($other): array {
                $k = $other ? self::number(
                    self::answer('quantity.convert', ['value' => 1.0, 'unit' => $v[1], 'to' => $v[2]]), 'value',
                ) : 1.0;

                return ['value' => $k * $v[0], 'unit' => $v[$other ? 2 : 1], 'u' => $k * 0.01];
            }, $variables);
            $is = self::answer('formula.evaluate', ['expression' => $expression, 'variables' => $as(false), 'unit' => $unit]);
            $other = self::answer('formula.evaluate', ['expression' => $expression, 'variables' => $as(true), 'unit' => $unit]);
            self::near(self::number($is, 'value'), self::number($other, 'value'), $expression);
            self::near(self::number($is, 'u'), self::number($other, 'u'), 'u of '.$expression, 1e-8);
        }
    }

    /** @return iterable<int, list<float>> */
    private static function samples(): iterable
    {
        for ($i = 0; $i < self::TIMES; ++$i) {
            yield $i => self::sample(3 + $i);
        }
    }

    /** @return non-empty-list<float> around 15, with a spread of about 2 */
    private static function sample(int $n): array
    {
        $values = [];
        do {
            $sum = 0.0;
            for ($k = 0; $k < 6; ++$k) {
                $sum += mt_rand() / mt_getrandmax();
            }
            $values[] = round(9.0 + 2.0 * $sum, 2) + 1e-6 * count($values);
        } while (count($values) < $n);

        return $values;
    }

    /**
     * @template T
     *
     * @param list<T> $of
     *
     * @return list<T>
     */
    private static function shuffled(array $of): array
    {
        for ($i = count($of) - 1; $i > 0; --$i) {
            $k = mt_rand(0, $i);
            [$of[$i], $of[$k]] = [$of[$k], $of[$i]];
        }

        return array_values($of);
    }

    /**
     * @param list<float> $of
     *
     * @return list<float>
     */
    private static function times(array $of, float $k): array
    {
        return array_map(static fn (float $v): float => $k * $v, $of);
    }

    /**
     * @param list<float> $of
     *
     * @return list<float>
     */
    private static function plus(array $of, float $c): array
    {
        return array_map(static fn (float $v): float => $v + $c, $of);
    }

    /**
     * @param array<string, mixed> $input
     *
     * @return array<string, mixed>
     */
    private static function answer(string $op, array $input): array
    {
        $answer = Catalogue::answer(['op' => $op, 'input' => $input]);
        self::assertTrue($answer['ok'], $op.': '.json_encode($answer));

        /** @var array<string, mixed> $plain as it goes out */
        $plain = json_decode(json_encode($answer['output'] ?? [], JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION), true);

        return $plain;
    }

    /** @param array<string, mixed> $from */
    private static function at(array $from, string|int ...$path): mixed
    {
        $at = $from;
        foreach ($path as $step) {
            $at = is_array($at) ? $at[$step] ?? null : null;
        }

        return $at;
    }

    /** @param array<string, mixed> $from */
    private static function number(array $from, string|int ...$path): float
    {
        return self::float(self::at($from, ...$path) ?? 0.0);
    }

    private static function float(mixed $value): float
    {
        self::assertIsNumeric($value);

        return (float) $value;
    }

    /** @param array<string, mixed> $from */
    private static function word(array $from, string $name): string
    {
        $word = $from[$name] ?? null;
        self::assertIsString($word);

        return $word;
    }

    private static function near(float $expected, float $got, string $what, float $relative = 1e-9): void
    {
        self::assertEqualsWithDelta($expected, $got, $relative * max(1.0, abs($expected)), $what);
    }

    private static function same(mixed $expected, mixed $got): void
    {
        if (is_array($expected) && is_array($got)) {
            self::assertSame(array_keys($expected), array_keys($got));
            foreach ($expected as $key => $value) {
                self::same($value, $got[$key]);
            }
        } elseif (is_float($expected) || is_int($expected)) {
            self::near((float) $expected, self::float($got), 'the same');
        } else {
            self::assertSame($expected, $got);
        }
    }
}
