<?php

declare(strict_types=1);

namespace Lustrum\Domain\Method;

use Lustrum\Core\Check\Known;
use Lustrum\Core\CoreException;
use Lustrum\Core\Outcome\ResultKind;
use Lustrum\Core\Quantity\Quantity;
use Lustrum\Core\Run\CalibrationPoint;
use Lustrum\Core\Run\Channel;
use Lustrum\Shared\Limit;
use Lustrum\Shared\Name;
use Lustrum\Shared\Number;
use Lustrum\Shared\Refusal\Invalid;
use Lustrum\Shared\UnitSymbol;
use Symfony\Component\Validator\Constraints as Assert;

/** A channel as it is typed: its plausible limits may be in any unit that fits. */
final readonly class ChannelInput
{
    /**
     * @param string            $formula empty for a channel that is read; else how it is worked out from the others
     * @param float|string|null $low     a number in $unit, or a quantity such as '50 lbf'
     * @param float|string|null $high    likewise
     * @param string            $measures as the relations between readings know it; empty: none of them does
     * @param string            $lasts   how long the event lasts that it is to see: '0.3 s'
     * @param float|null        $difference that is looked for, in $unit
     * @param list<CalibrationInput> $calibration
     */
    public function __construct(
        #[Assert\Regex('/^[a-z][a-zA-Z0-9]{0,39}$/', message: 'A short name of letters and digits, beginning with a small letter.')]
        public string $key,
        #[Name]
        public string $metric,
        #[Assert\NotBlank(message: 'A channel needs its unit; 1 for a plain number, or for a scale of words.')]
        #[UnitSymbol]
        public string $unit,
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $instrument = '',
        #[Assert\PositiveOrZero(message: 'A resolution is not below nought.')]
        #[Number]
        public ?float $resolution = null,
        public float|string|null $low = null,
        public float|string|null $high = null,
        public ResultKind $whenStopped = ResultKind::Equal,
        #[Assert\Length(max: 500, maxMessage: 'At most {{ limit }} characters.')]
        public string $formula = '',
        #[Assert\Choice(callback: [self::class, 'measurable'], message: 'No relation between readings knows this.')]
        public string $measures = '',
        public float|string|null $lasts = null,
        #[Assert\Positive(message: 'A difference lies above nought.')]
        #[Number]
        public ?float $difference = null,
        public bool $tared = false,
        #[Assert\Valid]
        #[Assert\Count(max: Limit::LIST, maxMessage: 'At most {{ limit }} points.')]
        public array $calibration = [],
    ) {
    }

    /** @return list<string> */
    public static function measurable(): array
    {
        return ['', ...array_keys(Known::UNITS)];
    }

    /** @throws Invalid at the limit that cannot be read */
    public function channel(int $place): Channel
    {
        return new Channel(
            $this->key, trim($this->metric), trim($this->unit), trim($this->instrument), $this->resolution,
            $this->limit($this->low, $place, 'low'), $this->limit($this->high, $place, 'high'), $this->whenStopped, trim($this->formula),
            $this->measures, $this->seconds($place), $this->difference, $this->tared,
            array_map(static fn (CalibrationInput $p): CalibrationPoint => $p->point(), $this->calibration),
        );
    }

    private function seconds(int $place): ?float
    {
        if ($this->lasts === null || (is_string($this->lasts) && trim($this->lasts) === '')) {
            return null;
        }
        try {
            $seconds = is_float($this->lasts) ? $this->lasts : Quantity::typedBeside($this->lasts, 's')->to('s')->value;
        } catch (CoreException $e) {
            throw Invalid::at(sprintf('channels[%d].lasts', $place), $e->getMessage());
        }

        return $seconds > 0.0 && $seconds <= Limit::NUMBER ? $seconds : throw Invalid::at(
            sprintf('channels[%d].lasts', $place), 'An event lasts longer than nothing.',
        );
    }

    private function limit(float|string|null $typed, int $place, string $name): ?float
    {
        if ($typed === null || (is_string($typed) && trim($typed) === '')) {
            return null;
        }
        $path = sprintf('channels[%d].%s', $place, $name);
        try {
            $value = is_float($typed) ? $typed : $this->read($typed);
        } catch (CoreException $e) {
            throw Invalid::at($path, $e->getMessage());
        }

        return is_finite($value) && abs($value) <= Limit::NUMBER ? $value : throw Invalid::at(
            $path, 'This number is larger than can be kept.',
        );
    }

    private function read(string $typed): float
    {
        $number = str_replace(',', '.', trim($typed));

        return is_numeric($number) ? (float) $number : Quantity::typed($typed)->to($this->unit)->value;
    }
}
