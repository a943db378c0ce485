<?php

declare(strict_types=1);

namespace Lustrum\Trial;

final readonly class RunView
{
    /**
     * @param list<Found>  $conditions
     * @param list<Found>  $settings
     * @param list<string>    $missing    conditions and settings that nobody recorded
     * @param list<Amendment> $amendments earlier outcomes with why they were amended
     */
    public function __construct(
        public string $id,
        public int $version,
        public string $trial,
        public ?string $article,
        public int $number,
        public string $operator,
        public string $position,
        public string $startedAt,
        public array $conditions,
        public array $settings,
        public string $note,
        public ?RunOutcome $outcome,
        public string $outcomeReason,
        public array $missing,
        public array $amendments,
        public string $by,
    ) {
    }
}
