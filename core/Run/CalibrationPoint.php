<?php

declare(strict_types=1);

namespace Lustrum\Core\Run;

/** What an instrument on its fixture showed at a value that is known: both in the unit of the channel. */
final readonly class CalibrationPoint
{
    public function __construct(
        public float $shown,
        public float $really,
    ) {
    }

    /** @param array<array-key, mixed> $row */
    public static function fromRow(array $row): self
    {
        return new self(Row::numberOrNull($row['shown'] ?? null) ?? 0.0, Row::numberOrNull($row['really'] ?? null) ?? 0.0);
    }
}
