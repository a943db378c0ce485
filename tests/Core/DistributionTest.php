<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\InvalidInput;
use Lustrum\Core\Statistics\Distribution\Beta;
use Lustrum\Core\Statistics\Distribution\NonCentralT;
use Lustrum\Core\Statistics\Distribution\Normal;
use Lustrum\Core\Statistics\Distribution\StudentT;
use Lustrum\Core\Statistics\Tolerance;
use Lustrum\Core\Statistics\ToleranceTable;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class DistributionTest extends TestCase
{
    private const TIGHT = 1e-9;

    /** @return iterable<array{float, float}> z and the lower tail; Abramowitz and Stegun (1964), table 26.1 and its continuation */
    public static function tails(): iterable
    {
        yield [-1.0, 0.15865525393145705];
        yield [-3.0, 1.3498980316300946e-3];
        yield [-5.0, 2.866515718791939e-7];
        yield [-10.0, 7.619853024160527e-24];
        yield [-30.0, 4.906713927148187e-198];
        yield [2.0, 0.9772498680518208];
    }

    #[DataProvider('tails')]
    public function testNormalTails(float $z, float $p): void
    {
        self::assertEqualsWithDelta($p, Normal::cdf($z), self::TIGHT * $p);
        if ($p < 0.5) {
            self::assertEqualsWithDelta($z, Normal::quantile($p), self::TIGHT * abs($z));
        }
    }

    /** @return iterable<array{float, float, float}> p, df, t; Fisher and Yates (1963), table III, with more digits */
    public static function quantiles(): iterable
    {
        yield [0.975, 1.0, 12.706204736174693];
        yield [0.975, 2.0, 4.302652729749462];
        yield [0.975, 5.0, 2.5705818356363146];
        yield [0.975, 10.0, 2.2281388519862735];
        yield [0.995, 30.0, 2.7499956535672247];
        yield [0.9995, 4.0, 8.610301581379276];
        yield [0.975, 1e6, 1.9599663568];
    }

    #[DataProvider('quantiles')]
    public function testStudentT(float $p, float $df, float $t): void
    {
        self::assertEqualsWithDelta($t, StudentT::quantile($p, $df), 1e-9 * $t);
        self::assertEqualsWithDelta(-$t, StudentT::quantile(1 - $p, $df), 1e-9 * $t);
        self::assertEqualsWithDelta(2 * (1 - $p), StudentT::twoSided($t, $df), 1e-8 * (1 - $p));
    }

    public function testFractionalDegreesOfFreedomLieBetween(): void
    {
        $t = StudentT::quantile(0.975, 3.5);
        self::assertGreaterThan(StudentT::quantile(0.975, 4.0), $t);
        self::assertLessThan(StudentT::quantile(0.975, 3.0), $t);
        self::assertEqualsWithDelta(0.975, StudentT::cdf($t, 3.5), 1e-12);
    }

    /** @return iterable<array{int, float, float, float}> n, coverage, confidence, k; ISO 16269-6:2014, annex C (σ unknown, one-sided) */
    public static function toleranceFactors(): iterable
    {
        yield [2, 0.90, 0.95, 20.581];
        yield [3, 0.90, 0.95, 6.155];
        yield [5, 0.95, 0.95, 4.203];
        yield [10, 0.90, 0.95, 2.355];
        yield [10, 0.99, 0.95, 3.981];
        yield [20, 0.95, 0.99, 2.808];
        yield [50, 0.90, 0.95, 1.646];
    }

    #[DataProvider('toleranceFactors')]
    public function testToleranceFactors(int $n, float $coverage, float $confidence, float $k): void
    {
        self::assertEqualsWithDelta($k, Tolerance::factor($n, $coverage, $confidence), 6e-4 * max(1, $k / 4));
        self::assertEqualsWithDelta($k, Tolerance::roughFactor(max($n, 10), $coverage, $confidence), $n < 10 ? INF : 0.05 * $k);
    }

    public function testNonCentralTWithoutShiftIsStudentT(): void
    {
        self::assertEqualsWithDelta(StudentT::cdf(2.2, 7), NonCentralT::cdf(2.2, 7, 0.0), 1e-13);
        self::assertEqualsWithDelta(StudentT::cdf(2.2, 7), NonCentralT::cdf(2.2, 7, 1e-9), 1e-9);
    }

    public function testToleranceRefusesWhatItCannotSay(): void
    {
        $this->expectException(InvalidInput::class);
        Tolerance::factor(1, 0.9, 0.95);
    }

    public function testBetaQuantileTurnsItsCdfAround(): void
    {
        foreach ([[0.5, 0.5], [1.0, 9.0], [23.0, 18.0], [5000.0, 3.0]] as [$a, $b]) {
            foreach ([1e-6, 0.025, 0.5, 0.999] as $p) {
                self::assertEqualsWithDelta($p, Beta::cdf(Beta::quantile($p, $a, $b), $a, $b), 1e-10 * max($p, 1e-3));
            }
        }
    }

    /** The written-down factors are the ones that the distribution gives, every one of them. */
    public function testToleranceTableIsWhatIsWorkedOut(): void
    {
        foreach ([0.9, 0.95, 0.99] as $coverage) {
            foreach ([0.01, 0.05, 0.1, 0.9, 0.95, 0.99] as $confidence) {
                for ($n = 2; $n <= 40; ++$n) {
                    $worked = NonCentralT::quantile($confidence, $n - 1, Normal::quantile($coverage) * sqrt($n)) / sqrt($n);
                    self::assertEqualsWithDelta(
                        $worked, ToleranceTable::factor($n, $coverage, $confidence), 1e-11 * max(1.0, abs($worked)),
                        "$n, $coverage, $confidence",
                    );
                }
            }
        }
        self::assertNull(ToleranceTable::factor(41, 0.9, 0.95));
        self::assertNull(ToleranceTable::factor(5, 0.8, 0.95));
    }
}
