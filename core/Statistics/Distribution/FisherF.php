<?php

declare(strict_types=1);

namespace Lustrum\Core\Statistics\Distribution;

/** The F distribution with fractional degrees of freedom allowed. */
final class FisherF
{
    public static function cdf(float $f, float $df1, float $df2): float
    {
        return $f <= 0 ? 0.0 : Special::beta($df2 / 2, $df1 / 2, $df2 / ($df2 + $df1 * $f), $df1 * $f / ($df2 + $df1 * $f))[1];
    }

    /** P(F > f), to full relative accuracy. */
    public static function upper(float $f, float $df1, float $df2): float
    {
        return $f <= 0 ? 1.0 : Special::beta($df2 / 2, $df1 / 2, $df2 / ($df2 + $df1 * $f), $df1 * $f / ($df2 + $df1 * $f))[0];
    }

    /** f with P(F ≤ f) = p. */
    public static function quantile(float $p, float $df1, float $df2): float
    {
        $x = Beta::quantile($p, $df1 / 2, $df2 / 2);

        return $df2 * $x / ($df1 * (1 - $x));
    }
}
