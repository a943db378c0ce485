<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Try;

use Lustrum\Core\Run\Row;
use Lustrum\Core\Run\RunOutcome;

/** A run on its trial's strip. */
final readonly class RunDot
{
    public function __construct(
        public string $id,
        public int $number,
        public string $startedAt,
        public ?RunOutcome $outcome,
        public string $serial,
    ) {
    }

    /** @param array<string, mixed> $row */
    public static function fromRow(array $row): self
    {
        return new self(
            Row::text($row['id'] ?? ''), Row::whole($row['number'] ?? 0), Row::text($row['started_at'] ?? ''),
            RunOutcome::tryFrom(Row::text($row['outcome'] ?? '')), Row::text($row['serial'] ?? ''),
        );
    }
}
