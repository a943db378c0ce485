<?php

declare(strict_types=1);

namespace Lustrum\Core\Statistics\Distribution;

/** Student's t distribution, fractional degrees of freedom allowed (df > 0). */
final class StudentT
{
    /** P(T ≤ t). */
    public static function cdf(float $t, float $df): float
    {
        return $t <= 0 ? self::tail(-$t, $df) : 1 - self::tail($t, $df);
    }

    /** P(T > t). */
    public static function upper(float $t, float $df): float
    {
        return self::cdf(-$t, $df);
    }

    /** P(|T| ≥ |t|). */
    public static function twoSided(float $t, float $df): float
    {
        return 2 * self::tail(abs($t), $df);
    }

    /** t with P(T ≤ t) = p, for 0 < p < 1. */
    public static function quantile(float $p, float $df): float
    {
        if ($p === 0.5) {
            return 0.0;
        }
        if ($p > 0.5) {
            return -self::quantile(1 - $p, $df);
        }
        if ($df === 1.0) {
            return -1 / tan(M_PI * $p);
        }
        if ($df === 2.0) {
            return (2 * $p - 1) / sqrt(2 * $p * (1 - $p));
        }
        // In y = ln(−t) the tail probability is smooth and monotone; Newton's method with a bracket around it.
        $z = -Normal::quantile($p);
        $y = log(max(1e-10, $z + ($z ** 3 + $z) / (4 * $df)));
        $low = -60.0;
        $high = 700.0;
        for ($i = 0; $i < 200; ++$i) {
            $t = exp($y);
            $tail = self::tail($t, $df);
            $tail > $p ? $low = $y : $high = $y;
            $slope = -self::density($t, $df) * $t / $tail;
            $next = $slope !== 0.0 ? $y - log($tail / $p) / $slope : NAN;
            if (!($next > $low && $next < $high)) {
                $next = 0.5 * ($low + $high);
            }
            if (abs($next - $y) < 1e-15 * max(1.0, abs($y))) {
                return -exp($next);
            }
            $y = $next;
        }

        return -exp($y);
    }

    public static function density(float $t, float $df): float
    {
        return exp(self::logDensity($t, $df));
    }

    private static function logDensity(float $t, float $df): float
    {
        // Γ((ν+1)/2)/Γ(ν/2) through Stirling errors, so that large ν loses nothing.
        $a = 0.5 * $df;
        $b = 0.5 * ($df + 1);
        $ratio = $a > 15
            ? ($b - 0.5) * log($b) - $b - ($a - 0.5) * log($a) + $a + Special::stirlingError($b - 1) - Special::stirlingError($a - 1) + self::shift($b) - self::shift($a)
            : Special::logGamma($b) - Special::logGamma($a);

        return $ratio - 0.5 * log($df * M_PI) - $b * log1p($t * $t / $df);
    }

    /** Stirling's approximation of ln Γ(x) written with x−1 instead of x: the difference of the two. */
    private static function shift(float $x): float
    {
        return ($x - 0.5) * log1p(-1 / $x) + 1;
    }

    /** P(T > t) for t ≥ 0. */
    private static function tail(float $t, float $df): float
    {
        if (is_infinite($t)) {
            return 0.0;
        }
        $t2 = $t * $t;
        [$lower, $upper] = Special::beta(0.5 * $df, 0.5, $df / ($df + $t2), $t2 / ($df + $t2));

        return 0.5 * $lower;
    }
}
