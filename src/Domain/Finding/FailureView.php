<?php

declare(strict_types=1);

namespace Lustrum\Domain\Finding;

use Lustrum\Domain\Trial\Found;

final readonly class FailureView
{
    /** @param list<Found> $levels */
    public function __construct(
        public string $id,
        public int $version,
        public string $revision,
        public ?string $run,
        public ?string $article,
        public string $mode,
        public string $place,
        public Consequence $consequence,
        public string $stage,
        public string $note,
        public array $levels,
        public ?string $method,
        public string $question,
        public ?string $consequenceOf,
        public bool $feared,
        public string $guard,
        public string $by,
        public string $at,
    ) {
    }
}
