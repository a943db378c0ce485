<?php

declare(strict_types=1);

namespace Lustrum\Core\Statistics\Distribution;

/** The χ² distribution with fractional degrees of freedom allowed. */
final class ChiSquare
{
    public static function cdf(float $x, float $df): float
    {
        return Special::gamma($df / 2, $x / 2)[0];
    }

    public static function upper(float $x, float $df): float
    {
        return Special::gamma($df / 2, $x / 2)[1];
    }

    /** x with P(X ≤ x) = p, solved in ln x. */
    public static function quantile(float $p, float $df): float
    {
        // Wilson and Hilferty (1931) as a start.
        $c = 1 - 2 / (9 * $df) + Normal::quantile($p) * sqrt(2 / (9 * $df));
        $start = $c > 0.05 ? log($df * $c ** 3) : log($df) + log($p) / max($df, 0.5);
        $f = static function (float $u) use ($p, $df): float {
            [$lower, $upper] = Special::gamma($df / 2, exp($u) / 2);

            return $p < 0.5 ? log(max($lower, 1e-308) / $p) : -log(max($upper, 1e-308) / (1 - $p));
        };
        for ($low = $start - 0.1, $i = 0; $f($low) > 0 && $i < 60; ++$i) {
            $low -= 0.2 * 2 ** $i;
        }
        for ($high = $start + 0.1, $i = 0; $f($high) < 0 && $i < 60; ++$i) {
            $high += 0.2 * 2 ** $i;
        }

        return exp(Solve::root($f, $low, $high));
    }
}
