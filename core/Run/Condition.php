<?php

declare(strict_types=1);

namespace Lustrum\Core\Run;

use Lustrum\Core\CoreException;
use Lustrum\Core\Quantity\Quantity;

/** A condition that must be recorded on every run; 'unknown' is a value. */
final readonly class Condition
{
    private const SAME = 1e-9;

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

    /** Was it recorded otherwise than the method holds it? What was not recorded, or nobody holds, is not off. */
    public function isOff(string $recorded): bool
    {
        $word = mb_strtolower(trim($recorded));
        if (trim($this->intended) === '' || $word === '' || $word === 'unknown' || $this->aim === ConditionAim::Uncontrolled) {
            return false;
        }
        if ($this->unit === '') {
            return $word !== mb_strtolower(trim($this->intended));
        }
        try {
            $of = fn (string $text): float => Quantity::typedBeside($text, $this->unit)->to($this->unit)->value;

            return $this->tolerance !== null && abs($of($recorded) - $of($this->intended)) > $this->tolerance + self::SAME;
        } catch (CoreException) {
            return false;
        }
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
