<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Find;

final readonly class ModeCount
{
    /** @param int $tried runs on this build that could have shown the mode: those of the methods it was seen with */
    public function __construct(
        public string $revision,
        public string $letter,
        public int $failures,
        public int $tried,
    ) {
    }
}
