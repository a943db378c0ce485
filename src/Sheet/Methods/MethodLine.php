<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Methods;

/** A line of the instruction: what it says, and what is to be minded about it. */
final readonly class MethodLine
{
    /** @param list<string> $notes */
    public function __construct(
        public string $text,
        public array $notes = [],
    ) {
    }
}
