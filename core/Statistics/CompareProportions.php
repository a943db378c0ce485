<?php

declare(strict_types=1);

namespace Lustrum\Core\Statistics;

use Lustrum\Core\Statistics\Distribution\Special;

/**
 * Two shares against each other (`stats.compareProportions`); the difference is b − a.
 *
 * Fisher's exact test, two-sided by probability. Interval of the difference: Newcombe (1998), Statist. Med. 17, 873,
 * method 10 (hybrid score).
 */
final readonly class CompareProportions
{
    private function __construct(
        public float $p,
        public Interval $difference,
    ) {
    }

    public static function of(Proportion $a, Proportion $b, float $confidence): self
    {
        $x = $a->score($confidence);
        $y = $b->score($confidence);
        $difference = $y->estimate - $x->estimate;

        return new self(self::fisher($a, $b), new Interval(
            $difference,
            $difference - sqrt(($y->estimate - (float) $y->low) ** 2 + ((float) $x->high - $x->estimate) ** 2),
            $difference + sqrt(((float) $y->high - $y->estimate) ** 2 + ($x->estimate - (float) $x->low) ** 2),
        ));
    }

    private static function fisher(Proportion $a, Proportion $b): float
    {
        $held = $a->held + $b->held;
        $log = static fn (int $k): float => Special::logChoose($a->tried, $k) + Special::logChoose($b->tried, $held - $k) - Special::logChoose($a->tried + $b->tried, $held);
        $seen = $log($a->held);
        $p = 0.0;
        for ($k = max(0, $held - $b->tried); $k <= min($a->tried, $held); ++$k) {
            // As likely as what was seen, within rounding, counts as at least as unlikely.
            if ($log($k) <= $seen + 1e-7) {
                $p += exp($log($k));
            }
        }

        return min(1.0, $p);
    }
}
