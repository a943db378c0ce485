<?php

declare(strict_types=1);

namespace Lustrum\Core\Run;

/** A setting that is read off the article before each run, with its intended value. */
final readonly class SettingRule
{
    public function __construct(
        public string $name,
        public string $unit = '',
        public ?float $intended = null,
        public ?float $tolerance = null,
    ) {
    }

    /** @param array<array-key, mixed> $row */
    public static function fromRow(array $row): self
    {
        return new self(
            Row::text($row['name'] ?? ''), Row::text($row['unit'] ?? ''),
            Row::numberOrNull($row['intended'] ?? null), Row::numberOrNull($row['tolerance'] ?? null),
        );
    }
}
