<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Brief;

/** A finding that bears on an assumption, in words, and the way down to it. */
final readonly class Because
{
    /**
     * @param string|null $run    that it is; null: none
     * @param string      $letter of the build that it was found on; empty: it is words alone
     */
    public function __construct(
        public string $said,
        public ?string $run,
        public string $letter,
    ) {
    }
}
