<?php

declare(strict_types=1);

namespace Lustrum\Core\Check;

use Lustrum\Core\Quantity\Quantity;

/** The value to be bought that comes nearest to one that is wanted. */
final readonly class StandardPart
{
    /** Preferred values of a decade (IEC 60063:2015, series E24). */
    private const E24 = [
        1.0, 1.1, 1.2, 1.3, 1.5, 1.6, 1.8, 2.0, 2.2, 2.4, 2.7, 3.0, 3.3, 3.6, 3.9, 4.3, 4.7, 5.1, 5.6, 6.2, 6.8, 7.5, 8.2, 9.1, 10.0,
    ];

    private function __construct(
        public string $series,
        public float $value,
        public float $nearest,
        public string $unit,
    ) {
    }

    /** By ratio, as the series is laid out. */
    public static function resistor(float $value, string $unit): self
    {
        $ohms = Quantity::of($value, $unit)->si();
        $decade = 10.0 ** floor(log10($ohms));
        $best = $decade;
        foreach (self::E24 as $step) {
            $best = abs(log($step * $decade / $ohms)) < abs(log($best / $ohms)) ? $step * $decade : $best;
        }

        return new self('E24', $value, Quantity::of($best, 'Ω')->to($unit)->value, $unit);
    }
}
