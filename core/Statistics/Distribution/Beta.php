<?php

declare(strict_types=1);

namespace Lustrum\Core\Statistics\Distribution;

/** The beta distribution on [0, 1]. */
final class Beta
{
    public static function cdf(float $x, float $a, float $b): float
    {
        return Special::beta($a, $b, $x, 1 - $x)[0];
    }

    public static function upper(float $x, float $a, float $b): float
    {
        return Special::beta($a, $b, $x, 1 - $x)[1];
    }

    /** x with P(X ≤ x) = p, for 0 < p < 1. */
    public static function quantile(float $p, float $a, float $b): float
    {
        // Solved in the logit of x, which keeps both ends of the range accurate.
        $f = static function (float $u) use ($p, $a, $b): float {
            $x = $u < 0 ? exp($u) / (1 + exp($u)) : 1 / (1 + exp(-$u));
            $y = $u < 0 ? 1 / (1 + exp($u)) : exp(-$u) / (1 + exp(-$u));
            [$lower, $upper] = Special::beta($a, $b, $x, $y);

            return $p < 0.5 ? log(max($lower, 1e-308) / $p) : -log(max($upper, 1e-308) / (1 - $p));
        };
        // ln X/(1 − X) has about this centre and spread; the bracket is widened until it holds the root.
        $centre = log($a / $b);
        $spread = 4 * sqrt(1 / $a + 1 / $b);
        for ($low = $centre - $spread; $low > -700 && $f($low) > 0; $low -= $spread) {
            $spread *= 2;
        }
        for ($high = $centre + $spread; $high < 700 && $f($high) < 0; $high += $spread) {
            $spread *= 2;
        }
        $u = Solve::root($f, max(-700.0, $low), min(700.0, $high));

        return $u < 0 ? exp($u) / (1 + exp($u)) : 1 / (1 + exp(-$u));
    }
}
