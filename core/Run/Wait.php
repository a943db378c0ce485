<?php

declare(strict_types=1);

namespace Lustrum\Core\Run;

/** When a run may begin: something has cooled, cured or settled. */
final readonly class Wait
{
    /** @param float|null $minutes after the run before on the same article; null: until somebody says so */
    public function __construct(
        public string $what,
        public ?float $minutes = null,
    ) {
    }

    /** @param array<array-key, mixed> $row */
    public static function fromRow(array $row): self
    {
        return new self(Row::text($row['what'] ?? ''), Row::numberOrNull($row['minutes'] ?? null));
    }
}
