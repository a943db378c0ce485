<?php

declare(strict_types=1);

namespace Lustrum\Core\Check;

use Lustrum\Core\InvalidInput;
use Lustrum\Core\Quantity\Quantity;

/**
 * Does an instrument fit the event that it is to see (`check.instrument`)?
 *
 * Lag: a first-order instrument reaches 1 − e^(−duration/lag) of a step. Rate: samples within the event.
 * Resolution: steps within the difference looked for, ten of them (rule of ten).
 */
final readonly class InstrumentFit
{
    /** @param list<FitCheck> $checks of lag, rate and resolution */
    private function __construct(
        public ?bool $fit,
        public array $checks,
    ) {
    }

    /**
     * Null where it is not known.
     *
     * @throws InvalidInput|\Lustrum\Core\Quantity\UnitMismatch
     */
    public static function of(?Quantity $lag, ?Quantity $rate, ?Quantity $resolution, ?Quantity $duration, ?Quantity $difference): self
    {
        $tau = self::in($lag, 's', 'instrument/lag', true);
        $hertz = self::in($rate, 'Hz', 'instrument/rate');
        $seconds = self::in($duration, 's', 'event/duration');
        $step = self::above($resolution, 'instrument/resolution');
        $wanted = self::above($difference, 'event/difference');
        $checks = [
            FitCheck::of('lag', match (true) {
                $tau === null || $seconds === null => null,
                $tau === 0.0 => 1.0,
                default => 1 - exp(-$seconds / $tau),
            }),
            FitCheck::of('rate', $hertz === null || $seconds === null ? null : $hertz * $seconds),
            // A step and a difference of temperature are differences, whatever the scale begins with.
            FitCheck::of(
                'resolution',
                $step === null || $wanted === null ? null : $wanted->differenceTo($step->unit->symbol) / $step->value,
            ),
        ];
        $fits = array_map(static fn (FitCheck $c): ?bool => $c->fit, $checks);

        return new self(in_array(false, $fits, true) ? false : (in_array(null, $fits, true) ? null : true), $checks);
    }

    private static function in(?Quantity $quantity, string $unit, string $path, bool $mayBeNought = false): ?float
    {
        return self::above($quantity, $path, $mayBeNought)?->to($unit)->value;
    }

    private static function above(?Quantity $quantity, string $path, bool $mayBeNought = false): ?Quantity
    {
        if ($quantity !== null && ($quantity->value < 0.0 || (!$mayBeNought && $quantity->value === 0.0))) {
            throw InvalidInput::because(
                $mayBeNought ? 'A lag is not below nought.' : 'A rate, a resolution, a duration and a difference are above nought.', $path,
            );
        }

        return $quantity;
    }
}
