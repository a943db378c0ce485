<?php

declare(strict_types=1);

namespace Lustrum\Core\Outcome;

/**
 * What results come to when they are put together (`results.merge`): counts, the best, and what all of them reach.
 *
 * A bound is never averaged: where one is among the results there is no mean.
 */
final readonly class Merged
{
    /**
     * @param float|null $share of those that held or failed
     * @param Result|null $best  of values and of bounds of the good kind
     * @param float|null $bound  the worst of these, which all reach; null where one is bounded from the bad side, or failed
     */
    private function __construct(
        public int $made,
        public int $lost,
        public int $tried,
        public int $n,
        public int $bounds,
        public int $held,
        public int $failed,
        public ?float $share,
        public ?Result $best,
        public ?float $bound,
        public ?float $mean,
    ) {
    }

    /**
     * @param list<Result> $results
     * @param ResultKind   $good    the bound that is certain in the good direction: atLeast where more is better
     */
    public static function of(array $results, ResultKind $good): self
    {
        $count = static fn (ResultKind $kind): int => count(array_filter($results, static fn (Result $r): bool => $r->kind === $kind));
        [$held, $failed, $lost] = [$count(ResultKind::Held), $count(ResultKind::Failed), $count(ResultKind::Lost)];
        $bad = $good === ResultKind::AtLeast ? ResultKind::AtMost : ResultKind::AtLeast;
        $certain = array_values(array_filter(
            $results, static fn (Result $r): bool => $r->kind === ResultKind::Equal || $r->kind === $good,
        ));
        // The best first; where they tie the bound, which may be better still.
        $sign = $good === ResultKind::AtLeast ? -1 : 1;
        usort($certain, static fn (Result $a, Result $b): int => [$sign * (float) $a->value, $a->kind === ResultKind::Equal]
            <=> [$sign * (float) $b->value, $b->kind === ResultKind::Equal]);
        $values = array_values(array_filter($results, static fn (Result $r): bool => $r->kind === ResultKind::Equal));
        $bounds = $count($good) + $count($bad);
        $sum = array_sum(array_map(static fn (Result $r): float => (float) $r->value, $values));
        $last = $certain === [] ? null : $certain[count($certain) - 1]->value;

        return new self(
            count($results), $lost, count($results) - $lost, count($values), $bounds, $held, $failed,
            $held + $failed === 0 ? null : $held / ($held + $failed), $certain[0] ?? null,
            $count($bad) > 0 || $failed > 0 ? null : $last, $bounds > 0 || $values === [] ? null : $sum / count($values),
        );
    }
}
