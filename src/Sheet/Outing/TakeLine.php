<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Outing;

/** Something to take along. */
final readonly class TakeLine
{
    /** @param string $kind articles, instruments, tools, consumables, protection, papers or missed */
    public function __construct(
        public string $kind,
        public string $what,
    ) {
    }
}
