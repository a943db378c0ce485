<?php

declare(strict_types=1);

namespace Lustrum\Trial;

/** A run on its trial's strip. */
final readonly class RunDot
{
    public function __construct(
        public string $id,
        public int $number,
        public string $startedAt,
        public ?RunOutcome $outcome,
        public string $serial,
    ) {
    }
}
