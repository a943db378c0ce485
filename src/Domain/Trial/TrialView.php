<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

final readonly class TrialView
{
    /** @param int $plannedRuns nought where nobody said how many */
    public function __construct(
        public string $id,
        public int $version,
        public string $revision,
        public string $method,
        public string $name,
        public string $question,
        public int $plannedRuns,
        public RepeatPurpose $repeats,
        public TrialState $state,
        public ?SignOff $signOff,
        public ?SignOff $override,
        public string $createdAt,
    ) {
    }
}
