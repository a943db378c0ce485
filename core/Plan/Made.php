<?php

declare(strict_types=1);

namespace Lustrum\Core\Plan;

use Lustrum\Core\Run\RunOutcome;

/** A run of a trial, as its plan looks at it. */
final readonly class Made
{
    /**
     * @param array<string, string> $levels  by factor, as recorded
     * @param RunOutcome|null       $outcome null where it has not ended
     */
    public function __construct(
        public string $run,
        public int $number,
        public array $levels,
        public string $arm,
        public ?RunOutcome $outcome,
    ) {
    }
}
