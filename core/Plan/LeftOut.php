<?php

declare(strict_types=1);

namespace Lustrum\Core\Plan;

use Lustrum\Core\Run\Row;

/** A cell that was eliminated before it was tried, and why: it stays in every count. */
final readonly class LeftOut
{
    /** @param array<string, string> $levels by factor */
    public function __construct(
        public array $levels,
        public string $arm,
        public string $reason,
    ) {
    }

    /** @param array<array-key, mixed> $row */
    public static function fromRow(array $row): self
    {
        return new self(Row::map($row['levels'] ?? []), Row::text($row['arm'] ?? ''), Row::text($row['reason'] ?? ''));
    }
}
