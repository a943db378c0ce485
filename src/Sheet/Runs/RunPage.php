<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Runs;

/** Runs behind a number, and where the list goes on. */
final readonly class RunPage
{
    /** @param list<RunRow> $rows newest first */
    public function __construct(
        public array $rows,
        public ?string $next,
    ) {
    }
}
