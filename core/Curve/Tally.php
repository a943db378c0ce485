<?php

declare(strict_types=1);

namespace Lustrum\Core\Curve;

/** How often something happened on a run, how long it lasted in all, which share of the run that was, and how far apart. */
final readonly class Tally
{
    /**
     * @param float|null $held  s in all, what overlaps counted once; null: it has no length
     * @param float|null $share of the run; null: it has no length, or nobody knows yet how long the run took
     * @param float|null $every s between two beginnings on average; null: it happened once
     */
    private function __construct(
        public int $count,
        public ?float $held,
        public ?float $share,
        public ?float $every,
    ) {
    }

    /**
     * @param non-empty-list<Touch> $touches in any order
     * @param float|null            $lasted  s that the run took; null: it goes on
     */
    public static function of(array $touches, ?float $lasted): self
    {
        usort($touches, static fn (Touch $a, Touch $b): int => $a->from <=> $b->from);
        $held = null;
        $until = -INF;
        foreach ($touches as $touch) {
            if ($touch->to !== null) {
                $held = ($held ?? 0.0) + max(0.0, $touch->to - max($touch->from, $until));
                $until = max($until, $touch->to);
            }
        }
        $n = count($touches);

        return new self(
            $n, $held, $held === null || $lasted === null || $lasted <= 0.0 ? null : min(1.0, $held / $lasted),
            $n < 2 ? null : ($touches[$n - 1]->from - $touches[0]->from) / ($n - 1),
        );
    }
}
