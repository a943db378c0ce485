<?php

declare(strict_types=1);

namespace Lustrum\Core\Statistics\Distribution;

/** The standard normal distribution. */
final class Normal
{
    /** P(Z ≤ z), relative 1e-13 far into the lower tail. */
    public static function cdf(float $z): float
    {
        return $z <= 0 ? self::tail(-$z) : 1 - self::tail($z);
    }

    /** P(Z > z). */
    public static function upper(float $z): float
    {
        return self::cdf(-$z);
    }

    public static function density(float $z): float
    {
        return exp(-0.5 * $z * $z) / 2.5066282746310005024;
    }

    /** z with P(Z ≤ z) = p, for 0 < p < 1. */
    public static function quantile(float $p): float
    {
        if ($p <= 0 || $p >= 1) {
            return $p <= 0 ? -INF : INF;
        }
        if ($p > 0.5) {
            return -self::quantile(1 - $p);
        }
        // Abramowitz and Stegun 26.2.23 as a start, then Halley's method.
        $t = sqrt(-2 * log($p));
        $z = -($t - (2.515517 + 0.802853 * $t + 0.010328 * $t * $t) / (1 + 1.432788 * $t + 0.189269 * $t * $t + 0.001308 * $t ** 3));
        for ($i = 0; $i < 4; ++$i) {
            $e = (self::cdf($z) - $p) / self::density($z);
            $z -= $e / (1 + 0.5 * $z * $e);
        }

        return $z;
    }

    /** P(Z > z) for z ≥ 0: half of erfc(z/√2), by the rational approximations of Cody (1969), Math. Comp. 23, 631. */
    private static function tail(float $z): float
    {
        $x = $z / M_SQRT2;
        if ($x <= 0.46875) {
            $y = $x * $x;

            return 0.5 - 0.5 * $x * self::horner(
                [1.85777706184603153e-1, 3.16112374387056560, 113.864154151050156, 377.485237685302021, 3209.37758913846947], $y,
            )
                / self::horner([1.0, 23.6012909523441209, 244.024637934444173, 1282.61652607737228, 2844.23683343917062], $y);
        }
        if ($x > 26.5) {
            return 0.0;
        }
        if ($x <= 4.0) {
            $ratio = self::horner(
                [
                    2.15311535474403846e-8, 0.564188496988670089, 8.88314979438837594, 66.1191906371416295, 298.635138197400131,
                    881.952221241769090, 1712.04761263407058, 2051.07837782607147, 1230.33935479799725,
                ],
                $x,
            )
                / self::horner(
                    [
                        1.0, 15.7449261107098347, 117.693950891312499, 537.181101862009858, 1621.38957456669019, 3290.79923573345963,
                        4362.61909014324716, 3439.36767414372164, 1230.33935480374942,
                    ],
                    $x,
                );
        } else {
            $y = 1 / ($x * $x);
            $ratio = $y * self::horner(
                [
                    1.63153871373020978e-2, 0.305326634961232344, 0.360344899949804439, 0.125781726111229246, 1.60837851487422766e-2,
                    6.58749161529837803e-4,
                ],
                $y,
            )
                / self::horner(
                    [1.0, 2.56852019228982242, 1.87295284992346725, 0.527905102951428412, 6.05183413124413191e-2, 2.33520497626869185e-3],
                    $y,
                );
            $ratio = (0.56418958354775628695 - $ratio) / $x;
        }
        // e^(−x²) in two factors, so that the rounding of x² does not grow into the result.
        $whole = floor($x * 16) / 16;

        return 0.5 * exp(-$whole * $whole) * exp(-($x - $whole) * ($x + $whole)) * $ratio;
    }

    /** @param non-empty-list<float> $c coefficients, highest power first */
    private static function horner(array $c, float $x): float
    {
        $sum = 0.0;
        foreach ($c as $coefficient) {
            $sum = $sum * $x + $coefficient;
        }

        return $sum;
    }
}
