<?php

declare(strict_types=1);

namespace Lustrum\Core\Statistics\Distribution;

/** The binomial distribution, through the beta distribution: exact tails, no sums. */
final class Binomial
{
    /** P(X ≥ k). */
    public static function atLeast(int $k, int $n, float $p): float
    {
        return match (true) {
            $k <= 0 => 1.0,
            $k > $n, $p <= 0.0 => 0.0,
            $p >= 1.0 => 1.0,
            default => Special::beta($k, $n - $k + 1, $p, 1 - $p)[0],
        };
    }

    /** P(X ≤ k). */
    public static function atMost(int $k, int $n, float $p): float
    {
        return match (true) {
            $k < 0 => 0.0,
            $k >= $n, $p <= 0.0 => 1.0,
            $p >= 1.0 => 0.0,
            default => Special::beta($k + 1, $n - $k, $p, 1 - $p)[1],
        };
    }
}
