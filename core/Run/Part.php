<?php

declare(strict_types=1);

namespace Lustrum\Core\Run;

/** A line of the parts list as a run was made with it; what it costs changes no result. */
final readonly class Part
{
    public function __construct(
        public string $name,
        public string $material,
        public float $quantity,
    ) {
    }

    /** @param array<array-key, mixed> $row */
    public static function fromRow(array $row): self
    {
        return new self(Row::text($row['name'] ?? ''), Row::text($row['material'] ?? ''), Row::number($row['quantity'] ?? 0));
    }
}
