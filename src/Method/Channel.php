<?php

declare(strict_types=1);

namespace Lustrum\Method;

use Lustrum\Core\Outcome\ResultKind;

/** One thing that a method measures: the metric, the unit that the instrument shows, and what is plausible. */
final readonly class Channel
{
    /**
     * @param string     $key         stable name in readings and formulas, such as 'pull'
     * @param string     $metric      what it measures, as requirements call it
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
}
