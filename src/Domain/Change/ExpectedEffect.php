<?php

declare(strict_types=1);

namespace Lustrum\Domain\Change;

use Lustrum\Core\Change\Expectation;
use Lustrum\Core\Change\ExpectedAs;
use Lustrum\Core\Quantity\Units;
use Lustrum\Domain\Device\Device;
use Lustrum\Domain\Device\Metric;
use Lustrum\Record\Records;
use Lustrum\Shared\Name;
use Lustrum\Shared\Number;
use Lustrum\Shared\Refusal\Invalid;
use Lustrum\Shared\UnitSymbol;
use Symfony\Component\Validator\Constraints as Assert;

/** What a change, or a candidate for one, is expected to do to a metric: a range with its likely value, or a direction alone. */
final readonly class ExpectedEffect
{
    /** @param float|null $margin within which it counts as unchanged, in $unit */
    public function __construct(
        #[Name]
        public string $metric,
        #[UnitSymbol]
        public string $unit = '',
        #[Number]
        public ?float $low = null,
        #[Number]
        public ?float $likely = null,
        #[Number]
        public ?float $high = null,
        public ExpectedAs $mode = ExpectedAs::Add,
        #[Assert\PositiveOrZero(message: 'A margin is not below nought.')]
        #[Number]
        public ?float $margin = null,
    ) {
    }

    /**
     * Each of them, checked: numbers have their unit and stand in their order.
     *
     * @param list<self> $effects
     *
     * @throws Invalid at the field that is wrong
     */
    private static function mustBeSound(array $effects): void
    {
        foreach ($effects as $i => $e) {
            $ends = array_values(array_filter([$e->low, $e->likely, $e->high], static fn (?float $v): bool => $v !== null));
            $sorted = $ends;
            sort($sorted);
            if ($ends !== $sorted) {
                throw Invalid::at(sprintf('effects[%d].likely', $i), 'The likely effect lies between the low and the high one.');
            }
            if ($e->mode->hasNumbers() && $e->mode !== ExpectedAs::Percent && $ends !== [] && trim($e->unit) === '') {
                throw Invalid::at(sprintf('effects[%d].unit', $i), 'An effect needs its unit; a plain number has the unit 1.');
            }
        }
    }

    /**
     * Checked, and each on its metric by identifier.
     *
     * @param list<self> $effects
     *
     * @return list<self>
     *
     * @throws Invalid at the field that is wrong
     */
    public static function kept(array $effects, Device $device, Records $records): array
    {
        self::mustBeSound($effects);
        $out = [];
        foreach ($effects as $i => $e) {
            $unit = $e->mode === ExpectedAs::Percent ? '' : $e->unit;
            $metric = Metric::named($e->metric, $unit, $device, $records);
            if ($unit !== '' && $metric->dimension() !== '' && Units::parse($unit)->dimension->siUnit() !== $metric->dimension()) {
                throw Invalid::at(sprintf('effects[%d].unit', $i), sprintf(
                    '“%s” is measured in something else than %s.', $metric->name(), $unit,
                ));
            }
            $out[] = $e->on($metric->id()->toRfc4122());
        }

        return $out;
    }

    /** The same on a metric that is named otherwise: by identifier where it is kept, by name where it is shown. */
    public function on(string $metric): self
    {
        return new self($metric, $this->unit, $this->low, $this->likely, $this->high, $this->mode, $this->margin);
    }

    public function asFact(): Expectation
    {
        return new Expectation($this->metric, $this->mode, $this->unit, $this->low, $this->likely, $this->high, $this->margin);
    }
}
