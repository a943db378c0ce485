<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Find;

/** A further page of a list, and where it goes on. */
final readonly class FailurePage
{
    /** @param list<FailureRow> $rows newest first */
    public function __construct(
        public array $rows,
        public ?string $next,
    ) {
    }
}
