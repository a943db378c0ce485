<?php

declare(strict_types=1);

namespace Lustrum\Core\Statistics;

use Lustrum\Core\Statistics\Distribution\Hypergeometric;

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

        return new self(Hypergeometric::of($a->tried, $b->tried, $a->held + $b->held)->atMostAsLikelyAs($a->held), new Interval(
            $difference,
            $difference - sqrt(($y->estimate - (float) $y->low) ** 2 + ((float) $x->high - $x->estimate) ** 2),
            $difference + sqrt(((float) $y->high - $y->estimate) ** 2 + ($x->estimate - (float) $x->low) ** 2),
        ));
    }
}
