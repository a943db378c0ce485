<?php

declare(strict_types=1);

namespace Lustrum\Core\Run;

/** A number of the design as a run was made with it. */
final readonly class Parameter
{
    private const EQUAL = 1e-12;

    /** @param float $si in the SI unit of its dimension */
    public function __construct(
        public string $name,
        public float $value,
        public string $unit,
        public ?float $resolution,
        public float $si,
    ) {
    }

    /** Equal up to the rounding of a conversion of units; how it was typed does not matter. */
    public function equals(self $other): bool
    {
        return abs($this->si - $other->si) <= self::EQUAL * max(abs($this->si), abs($other->si));
    }

    /** @param array<array-key, mixed> $row */
    public static function fromRow(array $row): self
    {
        return new self(
            Row::text($row['name'] ?? ''), Row::number($row['value'] ?? 0), Row::text($row['unit'] ?? ''),
            Row::numberOrNull($row['resolution'] ?? null), Row::number($row['si'] ?? 0),
        );
    }
}
