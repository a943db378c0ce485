<?php

declare(strict_types=1);

namespace Lustrum\Action\Find;

/** Failures that are called otherwise, or would be. */
final readonly class Called
{
    /** @param list<CalledRow> $rows */
    public function __construct(
        public string $sentence,
        public array $rows,
    ) {
    }
}
