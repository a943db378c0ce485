<?php

declare(strict_types=1);

namespace Lustrum\Core\Statistics;

use Lustrum\Core\Statistics\Distribution\Normal;

/** The upper tail of the standard normal, so far out that it is nought itself. */
final class Tail
{
    /** From here on the asymptotic series (Abramowitz and Stegun 26.2.12) is exact to the last digit. */
    private const FAR = 30.0;

    private const LOG_ROOT_2_PI = 0.91893853320467274178;

    /** ln P(Z > w). */
    public static function log(float $w): float
    {
        return $w < self::FAR ? log(Normal::upper($w)) : -0.5 * $w * $w - log($w) - self::LOG_ROOT_2_PI + log(self::series($w));
    }

    /** φ(w)/P(Z > w). */
    public static function hazard(float $w): float
    {
        return $w < self::FAR ? Normal::density($w) / Normal::upper($w) : $w / self::series($w);
    }

    private static function series(float $w): float
    {
        $x = 1 / ($w * $w);

        return 1 - $x * (1 - 3 * $x * (1 - 5 * $x * (1 - 7 * $x)));
    }
}
