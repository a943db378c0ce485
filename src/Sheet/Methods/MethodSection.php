<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Methods;

/** What a field of the method says, a line for each of its rows. */
final readonly class MethodSection
{
    /** @param list<MethodLine> $lines */
    public function __construct(
        public string $field,
        public array $lines,
    ) {
    }
}
