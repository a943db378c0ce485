<?php

declare(strict_types=1);

namespace Lustrum\Core\Effect;

/** What a set of chosen candidates does together, and which of them can no longer be told apart. */
final readonly class Bundle
{
    /**
     * @param list<string> $candidates that touch this metric
     * @param bool         $entangled  two or more: one build shows only their sum
     */
    private function __construct(
        public string $metric,
        public float $low,
        public float $likely,
        public float $high,
        public array $candidates,
        public bool $entangled,
    ) {
    }

    /**
     * @param list<Effect> $effects of the chosen candidates
     *
     * @return list<self> one for each metric, in order of first appearance
     */
    public static function of(array $effects): array
    {
        $byMetric = [];
        foreach ($effects as $effect) {
            $byMetric[$effect->metric][] = $effect;
        }

        return array_values(array_map(static fn (array $group): self => new self(
            $group[0]->metric,
            array_sum(array_map(static fn (Effect $e): float => $e->low, $group)),
            array_sum(array_map(static fn (Effect $e): float => $e->likely, $group)),
            array_sum(array_map(static fn (Effect $e): float => $e->high, $group)),
            $names = array_values(array_unique(array_map(static fn (Effect $e): string => $e->candidate, $group))),
            count($names) > 1,
        ), $byMetric));
    }
}
