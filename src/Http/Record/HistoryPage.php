<?php

declare(strict_types=1);

namespace Lustrum\Http\Record;

/** What was done to a record, and where the list goes on. */
final readonly class HistoryPage
{
    /** @param list<HistoryLine> $rows newest first */
    public function __construct(
        public array $rows,
        public ?string $next,
    ) {
    }
}
