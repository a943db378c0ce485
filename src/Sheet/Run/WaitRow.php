<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Run;

/** Something that has to be over before the run begins. */
final readonly class WaitRow
{
    /** @param string|null $until RFC 3339; null: somebody has to say so */
    public function __construct(
        public string $sentence,
        public ?string $until,
    ) {
    }
}
