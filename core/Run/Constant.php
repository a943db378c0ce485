<?php

declare(strict_types=1);

namespace Lustrum\Core\Run;

/** A quantity of the fixture that formulas take beside the readings: a lever ratio, the length of an arm, a tare. */
final readonly class Constant
{
    /**
     * @param string     $key  as formulas name it
     * @param string     $name in words
     * @param float|null $u    standard uncertainty, in $unit; null where nobody said
     */
    public function __construct(
        public string $key,
        public string $name,
        public float $value,
        public string $unit,
        public ?float $u = null,
    ) {
    }

    /** @param array<array-key, mixed> $row */
    public static function fromRow(array $row): self
    {
        return new self(
            Row::text($row['key'] ?? ''), Row::text($row['name'] ?? ''), Row::numberOrNull($row['value'] ?? null) ?? 0.0,
            Row::text($row['unit'] ?? ''), Row::numberOrNull($row['u'] ?? null),
        );
    }
}
