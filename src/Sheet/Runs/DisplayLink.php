<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Runs;

/** A picture of the display that a number was read off. */
final readonly class DisplayLink
{
    public function __construct(
        public string $metric,
        public string $photo,
    ) {
    }
}
