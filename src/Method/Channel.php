<?php

declare(strict_types=1);

namespace Lustrum\Method;

use Lustrum\Core\Outcome\ResultKind;
use Lustrum\Record\Limit;
use Lustrum\Record\Name;
use Lustrum\Record\UnitSymbol;
use Symfony\Component\Validator\Constraints as Assert;

/** One thing that a method measures: the metric, the unit that the instrument shows, and what is plausible. */
final readonly class Channel
{
    /**
     * @param string     $key         stable name in readings, such as 'pull'
     * @param string     $metric      what it measures, as requirements call it
     * @param float|null $resolution  step of the instrument, in $unit
     * @param float|null $low         least plausible value, in $unit
     * @param float|null $high        greatest plausible value, in $unit
     * @param ResultKind $whenStopped what the value is when the run ended before the event
     */
    public function __construct(
        #[Assert\Regex('/^[a-z][a-zA-Z0-9]{0,39}$/', message: 'A short name of letters and digits, beginning with a small letter.')]
        public string $key,
        #[Name]
        public string $metric,
        #[Assert\NotBlank(message: 'A channel needs its unit.')]
        #[UnitSymbol]
        public string $unit,
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $instrument = '',
        #[Assert\PositiveOrZero(message: 'A resolution is not below nought.')]
        public ?float $resolution = null,
        public ?float $low = null,
        public ?float $high = null,
        public ResultKind $whenStopped = ResultKind::Equal,
    ) {
    }
}
