<?php

declare(strict_types=1);

namespace Lustrum\Core\Statistics;

use Lustrum\Core\InvalidInput;
use Lustrum\Core\NotEstimable;
use Lustrum\Core\Statistics\Distribution\Binomial;
use Lustrum\Core\Statistics\Distribution\NonCentralT;
use Lustrum\Core\Statistics\Distribution\Solve;
use Lustrum\Core\Statistics\Distribution\StudentT;

/** How many runs a question takes, and what a number of runs can find (`stats.sampleSize`, `stats.demonstration`). */
final class Planning
{
    private const MOST = 1_000_000;

    /**
     * Power of the two-sided t test: the chance of finding a difference that is there (Cohen 1988, ch. 2; exact).
     *
     * @param float $known degrees of freedom with which the spread is known before
     */
    public static function power(
        float $sd, float $difference, int $perArm, float $confidence, bool $paired, float $known = 0.0,
    ): float {
        $df = ($paired ? $perArm - 1 : 2 * $perArm - 2) + $known;
        $shift = abs($difference) / $sd * sqrt($paired ? $perArm : $perArm / 2);
        $t = StudentT::quantile(0.5 + $confidence / 2, $df);

        return NonCentralT::upper($t, $df, $shift) + NonCentralT::cdf(-$t, $df, $shift);
    }

    /** @throws InvalidInput|NotEstimable */
    public static function perArm(float $sd, float $difference, float $power, float $confidence, bool $paired): int
    {
        self::mustBeSound($sd, $power, $confidence);
        if ($difference === 0.0) {
            throw InvalidInput::because('No number of runs finds a difference of nought.', 'difference');
        }
        $enough = static fn (int $n): bool => self::power($sd, $difference, $n, $confidence, $paired) >= $power;
        for ($high = 2; !$enough($high); $high *= 2) {
            if ($high > self::MOST) {
                throw NotEstimable::because('runs.tooMany', sprintf('More than %d runs an arm would be needed.', self::MOST), 'difference');
            }
        }
        for ($low = intdiv($high, 2); $low + 1 < $high;) {
            $mid = intdiv($low + $high, 2);
            $enough($mid) ? $high = $mid : $low = $mid;
        }

        return max(2, $high);
    }

    /**
     * How many pairs find a difference, where a run by itself scatters by $sd: each pair has the scatter of two.
     *
     * @throws InvalidInput|NotEstimable
     */
    public static function pairs(float $sd, float $difference, float $power, float $confidence): int
    {
        return self::perArm(sqrt(2.0) * $sd, $difference, $power, $confidence, true);
    }

    /**
     * The smallest difference that this many runs find with the power given.
     *
     * @param float $known degrees of freedom with which the spread is known before: with them one run a side finds something
     *
     * @throws InvalidInput
     */
    public static function difference(
        float $sd, int $perArm, float $power, float $confidence, bool $paired, float $known = 0.0,
    ): float {
        self::mustBeSound($sd, $power, $confidence);
        if ($perArm < 2 && ($paired || $known <= 0.0)) {
            throw InvalidInput::because('At least two runs an arm are needed to tell a spread.', 'perArm');
        }
        $f = static fn (float $d): float => self::power($sd, $d * $sd, $perArm, $confidence, $paired, $paired ? 0.0 : $known) - $power;
        for ($high = 1.0; $f($high) < 0; $high *= 2) {
        }

        return $sd * Solve::root($f, 0.0, $high);
    }

    /**
     * The least number of trials that shows a reliability although so many fail.
     *
     * @throws InvalidInput|NotEstimable
     */
    public static function demonstration(float $reliability, float $confidence, int $failures): int
    {
        if (!($reliability > 0 && $reliability < 1) || !($confidence > 0 && $confidence < 1) || $failures < 0) {
            throw InvalidInput::because(
                'Reliability and confidence lie between 0 and 1, and failures are not below nought.', 'reliability',
            );
        }
        $enough = static fn (int $n): bool => Binomial::atMost($failures, $n, 1 - $reliability) <= (1 - $confidence) * (1 + 1e-12);
        for ($high = $failures + 1; !$enough($high); $high *= 2) {
            if ($high > 1_000_000_000) {
                throw NotEstimable::because('runs.tooMany', 'More than a thousand million trials would be needed.', 'reliability');
            }
        }
        for ($low = max($failures, intdiv($high, 2)); $low + 1 < $high;) {
            $mid = intdiv($low + $high, 2);
            $enough($mid) ? $high = $mid : $low = $mid;
        }

        return $high;
    }

    private static function mustBeSound(float $sd, float $power, float $confidence): void
    {
        if (!($sd > 0)) {
            throw InvalidInput::because('The spread must be above nought.', 'sd');
        }
        if (!($power > 1 - $confidence && $power < 1)) {
            throw InvalidInput::because('The power lies between the chance of a false alarm and 1.', 'power');
        }
    }
}
