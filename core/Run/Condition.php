<?php

declare(strict_types=1);

namespace Lustrum\Core\Run;

/** A condition that must be recorded on every run; 'unknown' is a value. */
final readonly class Condition
{
    /**
     * @param string       $unit      empty for a condition in words
     * @param float|null   $tolerance difference that still counts as equal, in $unit
     * @param list<string> $states    for a condition in words: what to choose from
     * @param ConditionAim $aim       how it is meant to be
     * @param string       $intended  what it is meant to be, in $unit or in words; empty: as it comes
     */
    public function __construct(
        public string $name,
        public string $unit = '',
        public ?float $tolerance = null,
        public array $states = [],
        public ConditionAim $aim = ConditionAim::Nominal,
        public string $intended = '',
    ) {
    }

    /** @param array<array-key, mixed> $row */
    public static function fromRow(array $row): self
    {
        return new self(
            Row::text($row['name'] ?? ''), Row::text($row['unit'] ?? ''),
            Row::numberOrNull($row['tolerance'] ?? null), Row::texts($row['states'] ?? []),
            ConditionAim::tryFrom(Row::text($row['aim'] ?? '')) ?? ConditionAim::Nominal, Row::text($row['intended'] ?? ''),
        );
    }
}
