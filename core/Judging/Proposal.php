<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

/** A candidate as the sums need it. */
final readonly class Proposal
{
    /**
     * @param string                                                                            $cost    decimal text
     * @param list<array{metric: string, unit: string, low: float, likely: float, high: float}> $effects metric by identifier
     */
    public function __construct(
        public string $what,
        public string $cost,
        public float $hours,
        public array $effects,
    ) {
    }
}
