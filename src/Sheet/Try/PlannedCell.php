<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Try;

use Lustrum\Domain\Trial\Found;

/** One combination of a plan. */
final readonly class PlannedCell
{
    /**
     * @param list<Found>  $levels
     * @param string|null  $leftOut why it is not tried; null: it is
     */
    public function __construct(
        public array $levels,
        public string $arm,
        public string $text,
        public ?string $leftOut,
    ) {
    }
}
