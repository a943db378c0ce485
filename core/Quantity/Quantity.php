<?php

declare(strict_types=1);

namespace Lustrum\Core\Quantity;

use Lustrum\Core\InvalidInput;

/**
 * One measured or wanted value as it was typed: number, unit and the step of its last digit.
 *
 * Temperatures are points unless a method says that it takes them as differences.
 */
final readonly class Quantity
{
    /** @param float|null $resolution step of the last digit, in $unit; null where it was not typed */
    private function __construct(
        public float $value,
        public Unit $unit,
        public ?float $resolution,
    ) {
    }

    /**
     * @throws InvalidInput when the value is not finite
     * @throws UnknownUnit
     */
    public static function of(float $value, string $unit, ?float $resolution = null): self
    {
        if (!is_finite($value)) {
            throw InvalidInput::because('The value is not a finite number.', 'value');
        }

        return new self($value, Units::parse($unit), $resolution);
    }

    /**
     * What somebody typed into a field that shows its unit: a bare number is in that unit.
     *
     * @throws UnitMismatch|UnknownUnit|InvalidNumber
     */
    public static function typedBeside(string $text, string $unit): self
    {
        $bare = preg_match('/^[+\-−]?[\d.,]+(?:[eE][+\-]?\d+)?$/u', trim($text)) === 1;

        if ($bare && $unit === '1') {
            // A plain number has no unit that could be written beside it.
            $counted = self::typed(trim($text).' count');

            return self::of($counted->value, '1', $counted->resolution);
        }

        return self::typed($bare && $unit !== '' ? trim($text).' '.$unit : $text);
    }

    /**
     * Reads what a person typed.
     *
     * @param string|null $dimension name of the dimension that is wanted
     *
     * @throws InvalidNumber
     * @throws UnknownUnit
     * @throws UnitMismatch
     */
    public static function typed(string $text, ?string $dimension = null): self
    {
        $quantity = QuantityText::read($text);
        if ($dimension !== null) {
            $wanted = Dimension::named($dimension) ?? throw InvalidInput::because(
                sprintf('“%s” is not a dimension that Lustrum knows.', $dimension), 'dimension',
            );
            $quantity->mustMeasure($wanted, '', static fn (): string => $dimension);
        }

        return $quantity;
    }

    public function si(): float
    {
        return $this->unit->toSi($this->value);
    }

    /** @throws UnitMismatch */
    public function to(string $unit): self
    {
        $target = Units::parse($unit);
        $turns = $this->perTurn($target);
        if ($turns === null) {
            $this->mustMeasure($target->dimension, $target->symbol, $target->measures(...));
        }
        // The value is kept as it is in its own unit, so that nothing drifts on the way there and back.
        $value = $target->symbol === $this->unit->symbol ? $this->value : $target->fromSi($this->si() * ($turns ?? 1.0));

        return new self($value, $target, $this->resolution === null ? null : $this->step() * ($turns ?? 1.0) / $target->factor);
    }

    /**
     * A difference of two such quantities in another unit: 10 °C more are 18 °F more.
     *
     * @throws UnitMismatch
     */
    public function differenceTo(string $unit): float
    {
        $target = Units::parse($unit);
        $this->mustMeasure($target->dimension, $target->symbol, $target->measures(...));

        return $this->value * $this->unit->factor / $target->factor;
    }

    /**
     * @param callable(): string $wantedName asked for only where it is said
     *
     * @throws UnitMismatch
     */
    public function mustMeasure(Dimension $wanted, string $wantedUnit, callable $wantedName): void
    {
        if ($this->unit->dimension->equals($wanted)) {
            return;
        }
        if ($this->unit->dimension->equals(Dimension::of([1])) && $wanted->equals(Dimension::of([1, 1, -2]))) {
            throw UnitMismatch::massForForce($this->unit->symbol);
        }
        throw UnitMismatch::between($this->unit->symbol, $this->unit->measures(), $wantedUnit, $wantedName());
    }

    /** How many digits of the value mean something; 3 where the resolution is not known. */
    public function significantDigits(): int
    {
        if ($this->resolution === null || $this->resolution <= 0.0) {
            return 3;
        }
        if ($this->value === 0.0) {
            return 1;
        }

        return max(1, (int) floor(log10(abs($this->value)) + 1e-9) - (int) floor(log10($this->resolution) + 1e-9) + 1);
    }

    /** The step of the last digit in the SI unit, or nought. */
    public function step(): float
    {
        return ($this->resolution ?? 0.0) * $this->unit->factor;
    }

    /** Cycles against radians: 2π where one side is a frequency and the other an angular speed. */
    private function perTurn(Unit $target): ?float
    {
        if ($this->unit->dimension->equals($target->dimension)) {
            return null;
        }
        $frequency = Dimension::of([0, 0, -1]);
        $angular = Dimension::of([0, 0, -1, 0, 0, 0, 1]);

        return match (true) {
            $this->unit->dimension->equals($frequency) && $target->dimension->equals($angular) => 2 * M_PI,
            $this->unit->dimension->equals($angular) && $target->dimension->equals($frequency) => 1 / (2 * M_PI),
            default => null,
        };
    }
}
