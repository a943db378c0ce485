<?php

declare(strict_types=1);

namespace Lustrum\Core\Alike;

use Lustrum\Core\InvalidInput;
use Lustrum\Core\NotEstimable;
use Lustrum\Core\Statistics\Distribution\Hypergeometric;
use Lustrum\Core\Statistics\Interval;
use Lustrum\Core\Statistics\NoValues;
use Lustrum\Core\Statistics\Proportion;
use Lustrum\Core\Statistics\Verdict;

/**
 * How often two sides hold, on the strata that both have (`stats.compareProportionsWithin`); the difference is b − a.
 *
 * Weights of Mantel and Haenszel (1959); limits stratum by stratum after Newcombe (1998), put together as variances are
 * (MOVER); exact conditional test over all strata, two-sided by probability.
 */
final readonly class CompareProportionsWithin
{
    /**
     * @param list<CellShares> $cells
     * @param list<Alone>      $onlyA
     * @param list<Alone>      $onlyB
     */
    private function __construct(
        public Interval $difference,
        public float $p,
        public array $cells,
        public array $onlyA,
        public array $onlyB,
        public Verdict $verdict,
    ) {
    }

    /**
     * @param list<AlikeRuns> $runs whose sides are a and b; value 1 held, 0 failed
     *
     * @throws NoValues|InvalidInput|NotEstimable
     */
    public static function of(array $runs, float $confidence): self
    {
        $matched = Matched::of($runs);
        $strata = $matched->strata();
        $p = self::exact($strata);
        $difference = self::interval($strata, $confidence);
        if ($p >= 1 - $confidence) {
            // What the exact test does not tell apart, no interval may.
            $difference = new Interval($difference->estimate, min(0.0, (float) $difference->low), max(0.0, (float) $difference->high));
        }

        return new self($difference, $p, CellShares::ofAll($strata), $matched->onlyA, $matched->onlyB, match (true) {
            $p < 1 - $confidence && $difference->low > 0 => Verdict::Higher,
            $p < 1 - $confidence && $difference->high < 0 => Verdict::Lower,
            default => Verdict::Indistinct,
        });
    }

    /** @param list<Stratum> $strata */
    private static function interval(array $strata, float $confidence): Interval
    {
        $total = array_sum(array_map(static fn (Stratum $s): float => $s->weight(), $strata));
        $estimate = $below = $above = 0.0;
        foreach ($strata as $stratum) {
            $weight = $stratum->weight() / $total;
            [$a, $b] = [self::share($stratum->a)->score($confidence), self::share($stratum->b)->score($confidence)];
            $estimate += $weight * ($b->estimate - $a->estimate);
            $below += $weight ** 2 * (($b->estimate - (float) $b->low) ** 2 + ((float) $a->high - $a->estimate) ** 2);
            $above += $weight ** 2 * (((float) $b->high - $b->estimate) ** 2 + ($a->estimate - (float) $a->low) ** 2);
        }

        return new Interval($estimate, $estimate - sqrt($below), $estimate + sqrt($above));
    }

    /** @param list<float> $held */
    private static function share(array $held): Proportion
    {
        return Proportion::of((int) array_sum($held), count($held));
    }

    /**
     * With how many held in each stratum given, how many of them on b: the sum of one hypergeometric a stratum.
     *
     * @param list<Stratum> $strata
     */
    private static function exact(array $strata): float
    {
        $sum = Hypergeometric::of(0, 0, 0);
        $seen = 0;
        foreach ($strata as $stratum) {
            [$heldA, $heldB] = [(int) array_sum($stratum->a), (int) array_sum($stratum->b)];
            $sum = $sum->plus(Hypergeometric::of(count($stratum->b), count($stratum->a), $heldA + $heldB));
            $seen += $heldB;
        }

        return $sum->atMostAsLikelyAs($seen);
    }
}
