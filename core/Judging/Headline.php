<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Alike\WithinVerdict;
use Lustrum\Core\Statistics\Holm;

/**
 * Which of many comparisons is said first: what got worse on a must, then what moved on a must, then any verdict, what nobody
 * asked for last; a must where it stays below 1 − confidence after Holm over all musts compared, all else over all that was looked
 * at. A must that got worse by itself alone is named beside it, as what may be worse.
 */
final readonly class Headline
{
    /**
     * @param MetricComparison|null $first  null where nothing stands out
     * @param int                   $looked comparisons that were made
     * @param MetricComparison|null $maybe  a must that would be worse if it alone had been looked at
     * @param int                   $musts  that were compared
     */
    private function __construct(
        public ?MetricComparison $first,
        public int $looked,
        public ?MetricComparison $maybe = null,
        public int $musts = 0,
    ) {
    }

    /**
     * @param list<MetricComparison>  $values
     * @param list<OutcomeComparison> $outcomes
     * @param list<Wanted>            $wanted
     */
    public static function of(array $values, array $outcomes, array $wanted, float $confidence): self
    {
        $must = array_fill_keys(array_map(
            static fn (Wanted $w): string => $w->metric, array_filter($wanted, static fn (Wanted $w): bool => $w->must),
        ), true);
        $looked = array_values(array_filter($values, static fn (MetricComparison $c): bool => $c->verdict !== null));
        $shares = array_filter($outcomes, static fn (OutcomeComparison $o): bool => $o->p !== null);
        // What has no p cannot stand out, and counts as looked at all the same.
        $p = array_map(static fn (MetricComparison $c): float => $c->p ?? 1.0, $looked);
        $adjusted = Holm::adjust([...$p, ...array_map(static fn (OutcomeComparison $o): float => (float) $o->p, array_values($shares))]);
        $ofMusts = array_filter($looked, static fn (MetricComparison $c): bool => isset($must[$c->metric]));
        $among = array_combine(array_keys($ofMusts), Holm::adjust(array_values(array_intersect_key($p, $ofMusts))));
        $best = $maybe = null;
        $rank = 0;
        foreach ($looked as $i => $c) {
            $isMust = isset($must[$c->metric]);
            $isWorse = $c->judged === 'worse' && $isMust;
            if ($isWorse && $among[$i] >= 1 - $confidence) {
                $maybe ??= $c;
            }
            $own = match (true) {
                $isWorse && $among[$i] < 1 - $confidence => 5,
                !in_array($c->verdict, [WithinVerdict::Higher, WithinVerdict::Lower], true), $adjusted[$i] >= 1 - $confidence => 0,
                // Nobody said which way is good: it moved all the same.
                $c->judged === '' => 1,
                $isMust => 4,
                $c->judged === 'worse' => 3,
                default => 2,
            };
            if ($own > $rank) {
                [$best, $rank] = [$c, $own];
            }
        }

        return new self($best, count($looked) + count($shares), $maybe === $best ? null : $maybe, count($ofMusts));
    }
}
