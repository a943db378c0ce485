<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Workshop;

/** A part that came with the design that the device began with, and what was shown of it there. */
final readonly class TakenOverRow
{
    public function __construct(
        public string $part,
        public string $said,
    ) {
    }
}
