<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Try;

/** What a plan would take, find and cost, before anybody begins. */
final readonly class PlanPreview
{
    /**
     * @param list<string> $finds a sentence for each result and question
     * @param list<string> $costs of the schools that it follows
     * @param list<PlannedCell> $cells each combination once
     * @param list<string> $order the runs in their order
     */
    public function __construct(
        public string $sentence,
        public int $runs,
        public array $finds,
        public array $costs,
        public array $cells,
        public array $order,
    ) {
    }
}
