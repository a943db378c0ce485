<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\Curve\Decimate;
use Lustrum\Core\Curve\Exponential;
use Lustrum\Core\Curve\Samples;
use Lustrum\Core\Panel\PairedComparisons;
use Lustrum\Core\Statistics\Anova;
use Lustrum\Core\Statistics\Cholesky;
use Lustrum\Core\Statistics\RankTest;
use Lustrum\Core\Statistics\Sample;
use Lustrum\Core\Statistics\Shift;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Where a sum is worked out by a shorter way, the plain way gives the same. */
final class ShortcutsTest extends TestCase
{
    /** @return iterable<string, array{int, int, int}> sizes, and decimals of the values: few of them make ties */
    public static function samples(): iterable
    {
        foreach ([[1, 1], [1, 7], [2, 2], [3, 8], [40, 41], [90, 130], [200, 200]] as [$a, $b]) {
            foreach ([0, 1, 6] as $decimals) {
                yield "$a and $b to $decimals" => [$a, $b, $decimals];
            }
        }
    }

    #[DataProvider('samples')]
    public function testTheShiftIsTheMedianOfAllDifferences(int $a, int $b, int $decimals): void
    {
        mt_srand(100 * $a + $b + $decimals);
        [$one, $two] = [self::values($a, $decimals), self::values($b, $decimals)];
        $differences = [];
        $above = 0.0;
        foreach ($one as $x) {
            foreach ($two as $y) {
                $differences[] = $y - $x;
                $above += $x > $y ? 1.0 : ($x === $y ? 0.5 : 0.0);
            }
        }
        self::assertSame(Sample::median($differences), Shift::median($one, $two));
        self::assertSame($above, RankTest::of($one, $two)->u);
    }

    public function testAMatrixTakenApartSolvesAndInverts(): void
    {
        // The 3 × 3 Hilbert matrix, whose inverse is of whole numbers (Choi 1983): 9, 192 and 180 on the diagonal.
        $hilbert = Cholesky::of([[1.0, 1 / 2, 1 / 3], [1 / 2, 1 / 3, 1 / 4], [1 / 3, 1 / 4, 1 / 5]]);
        foreach ([9.0, 192.0, 180.0] as $i => $expected) {
            self::assertEqualsWithDelta($expected, $hilbert->inverseDiagonal()[$i], 1e-9);
        }
        foreach ($hilbert->solve([11 / 6, 13 / 12, 47 / 60]) as $value) {
            self::assertEqualsWithDelta(1.0, $value, 1e-9);
        }
        $this->expectExceptionMessage('do not say enough');
        Cholesky::of([[1.0, 1.0], [1.0, 1.0]]);
    }

    public function testPreferencesSatisfyTheirOwnEquations(): void
    {
        mt_srand(7);
        $comparisons = [];
        for ($i = 0; $i < 400; ++$i) {
            $a = mt_rand(0, 7);
            $b = ($a + mt_rand(1, 7)) % 8;
            $winner = mt_rand(0, $a + $b) < $a ? $a : $b;
            $comparisons[] = ['winner' => 'i'.$winner, 'loser' => 'i'.($a + $b - $winner)];
        }
        $comparisons[] = ['winner' => 'i0', 'loser' => 'i7'];
        $found = PairedComparisons::of($comparisons);
        $won = $expected = array_fill_keys(array_keys($found->strengths), 0.0);
        foreach ($comparisons as ['winner' => $w, 'loser' => $l]) {
            $won[$w] = ($won[$w] ?? 0.0) + 1.0;
            foreach ([[$w, $l], [$l, $w]] as [$one, $other]) {
                $expected[$one] = ($expected[$one] ?? 0.0) + $found->strengths[$one] / ($found->strengths[$one] + $found->strengths[$other]);
            }
        }
        // At the summit of the likelihood everybody wins as often as expected (Bradley and Terry 1952, eq. 11).
        foreach ($won as $name => $times) {
            self::assertEqualsWithDelta($times, $expected[$name] ?? 0.0, 1e-8, $name);
        }
        self::assertEqualsWithDelta(1.0, array_sum($found->strengths), 1e-12);
    }

    public function testCellsGiveTheSameTableAsSingleValuesWould(): void
    {
        // Two values a cell of a 2 × 2 plan: sums of squares by hand.
        $y = [10.0, 12.0, 14.0, 16.0, 20.0, 24.0, 30.0, 34.0];
        $factors = ['a' => ['l', 'l', 'l', 'l', 'h', 'h', 'h', 'h'], 'b' => ['l', 'l', 'h', 'h', 'l', 'l', 'h', 'h']];
        $table = Anova::of($y, $factors, [['a', 'b']]);
        $by = array_column($table->terms, null, 'name');
        self::assertEqualsWithDelta(8 * 7.0 ** 2, $by['a']['ss'], 1e-9);
        self::assertEqualsWithDelta(8 * 3.5 ** 2, $by['b']['ss'], 1e-9);
        self::assertEqualsWithDelta(8 * 1.5 ** 2, $by['a:b']['ss'], 1e-9);
        self::assertEqualsWithDelta(20.0, $table->residual['ss'], 1e-9);
        self::assertSame(4, $table->residual['df']);
        self::assertEqualsWithDelta(13.0, $table->effects['a'][0]['mean'], 1e-9);
        // The order in which they were measured is of no matter.
        $mixed = [3, 0, 7, 1, 5, 2, 6, 4];
        $again = Anova::of(array_map(static fn (int $i): float => $y[$i], $mixed), array_map(
            static fn (array $f): array => array_map(static fn (int $i): string => $f[$i], $mixed), $factors,
        ), [['a', 'b']]);
        self::assertEqualsWithDelta($by['a']['ss'], array_column($again->terms, null, 'name')['a']['ss'], 1e-9);
    }

    public function testManySamplesGiveTheSameCurveAsAFew(): void
    {
        $curve = static fn (int $n): Samples => Samples::of(
            array_map(static fn (int $i): float => 600.0 * $i / ($n - 1), range(0, $n - 1)),
            array_map(static fn (int $i): float => 20 + 60 * exp(-0.01 * 600 * $i / ($n - 1)), range(0, $n - 1)),
        );
        foreach ([30, 400, 401, 5000] as $n) {
            self::assertEqualsWithDelta(0.01, Exponential::fit($curve($n))->k, 1e-10, (string) $n);
        }
    }

    public function testThinningKeepsEveryPeakAndGap(): void
    {
        $y = array_fill(0, 1000, 1.0);
        [$y[123], $y[124], $y[700]] = [9.0, -9.0, null];
        $thin = Decimate::of(array_map(floatval(...), range(0, 999)), array_values($y), 20);
        foreach ([123 => 9.0, 124 => -9.0, 700 => null] as $at => $value) {
            $found = array_search((float) $at, $thin->t, true);
            self::assertIsInt($found, (string) $at);
            self::assertSame($value, $thin->y[$found]);
        }
        self::assertLessThanOrEqual(30, count($thin->t));
    }

    /** @return non-empty-list<float> */
    private static function values(int $n, int $decimals): array
    {
        return array_map(static fn (): float => round(mt_rand(0, 20_000_000) / 1e6, $decimals), range(1, max(1, $n)));
    }
}
