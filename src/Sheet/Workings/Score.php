<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Workings;

/** How a forecast came out. */
final readonly class Score
{
    /**
     * @param string    $run      that it forecasts, in words
     * @param string    $came     in a sentence; empty: it was not read yet
     * @param bool|null $isInside its interval; null: it was not read yet, or has none
     */
    public function __construct(
        public string $run,
        public string $came,
        public ?bool $isInside,
    ) {
    }
}
