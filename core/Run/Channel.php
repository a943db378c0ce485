<?php

declare(strict_types=1);

namespace Lustrum\Core\Run;

use Lustrum\Core\Outcome\ResultKind;

/** One thing that a method measures: the metric, the unit that the instrument shows, and what is plausible. */
final readonly class Channel
{
    /**
     * @param string     $key         stable name in readings and formulas, such as 'pull'
     * @param string     $metric      identifier of what it measures
     * @param float|null $resolution  step of the instrument, in $unit
     * @param float|null $low         least plausible value, in $unit
     * @param float|null $high        greatest plausible value, in $unit
     * @param ResultKind $whenStopped what the value is when the run ended before the event
     * @param string     $formula     empty for a channel that is read; else how it is worked out from the others
     */
    public function __construct(
        public string $key,
        public string $metric,
        public string $unit,
        public string $instrument = '',
        public ?float $resolution = null,
        public ?float $low = null,
        public ?float $high = null,
        public ResultKind $whenStopped = ResultKind::Equal,
        public string $formula = '',
    ) {
    }

    public function isDerived(): bool
    {
        return $this->formula !== '';
    }

    /** The same channel, measuring another metric. */
    public function measuring(string $metric): self
    {
        return new self(
            $this->key, $metric, $this->unit, $this->instrument, $this->resolution,
            $this->low, $this->high, $this->whenStopped, $this->formula,
        );
    }

    /** @param array<array-key, mixed> $row by the names of the fields */
    public static function fromRow(array $row): self
    {
        return new self(
            Row::text($row['key'] ?? ''), Row::text($row['metric'] ?? ''), Row::text($row['unit'] ?? ''),
            Row::text($row['instrument'] ?? ''),
            Row::numberOrNull($row['resolution'] ?? null), Row::numberOrNull($row['low'] ?? null), Row::numberOrNull($row['high'] ?? null),
            ResultKind::tryFrom(Row::text($row['whenStopped'] ?? '')) ?? ResultKind::Equal, Row::text($row['formula'] ?? ''),
        );
    }
}
