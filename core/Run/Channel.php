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
     * @param string     $measures    as the relations between readings know it, such as 'voltage'; empty: none of them does
     * @param float|null $lasts       how long the event lasts that it is to see, in s
     * @param float|null $difference  that is looked for, in $unit
     * @param bool       $tared       is it set to nought before each run?
     * @param list<CalibrationPoint> $calibration of the instrument on its fixture; formulas take its readings as they really are
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
        public string $measures = '',
        public ?float $lasts = null,
        public ?float $difference = null,
        public bool $tared = false,
        public array $calibration = [],
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
            $this->low, $this->high, $this->whenStopped, $this->formula, $this->measures, $this->lasts, $this->difference, $this->tared,
            $this->calibration,
        );
    }

    /** Null where nobody calibrated it. */
    public function calibrated(): ?Calibration
    {
        return count($this->calibration) < Calibration::FEWEST ? null : Calibration::of($this->calibration);
    }

    /** @param array<array-key, mixed> $row by the names of the fields */
    public static function fromRow(array $row): self
    {
        return new self(
            Row::text($row['key'] ?? ''), Row::text($row['metric'] ?? ''), Row::text($row['unit'] ?? ''),
            Row::text($row['instrument'] ?? ''),
            Row::numberOrNull($row['resolution'] ?? null), Row::numberOrNull($row['low'] ?? null), Row::numberOrNull($row['high'] ?? null),
            ResultKind::tryFrom(Row::text($row['whenStopped'] ?? '')) ?? ResultKind::Equal, Row::text($row['formula'] ?? ''),
            Row::text($row['measures'] ?? ''), Row::numberOrNull($row['lasts'] ?? null), Row::numberOrNull($row['difference'] ?? null),
            ($row['tared'] ?? false) === true, array_map(CalibrationPoint::fromRow(...), Row::rows($row['calibration'] ?? [])),
        );
    }
}
