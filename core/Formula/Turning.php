<?php

declare(strict_types=1);

namespace Lustrum\Core\Formula;

use Lustrum\Core\Quantity\Dimension;
use Lustrum\Core\Quantity\Unit;

/**
 * What a quantity of 1/s means where something turns: radians or cycles a second.
 *
 * The SI brochure (9th ed., 2.3.4) has the hertz for frequencies and the radian a second for angular speeds, and warns that
 * the two differ by 2π though both are 1/s. In formulas rpm is an angular speed, as Hz and 1/min are frequencies; a plain
 * 1/s, such as the rate of a decay, is neither.
 */
enum Turning: string
{
    /** rad/s, deg/s, rpm */
    case Angular = 'angular';
    /** Hz, kHz, 1/min */
    case Cycles = 'cycles';

    private const RPM = ['rpm', 'rev/min'];
    private const CYCLES = ['Hz', 'kHz', 'MHz', 'GHz', 'mHz', '1/min'];

    public static function of(Unit $unit): ?self
    {
        return match (true) {
            self::isRpm($unit), $unit->dimension->equals(Dimension::of([0, 0, -1, 0, 0, 0, 1])) => self::Angular,
            in_array($unit->symbol, self::CYCLES, true) => self::Cycles,
            default => null,
        };
    }

    /** Turns a minute, which as an angular speed are 2π radians each. */
    public static function isRpm(Unit $unit): bool
    {
        return in_array($unit->symbol, self::RPM, true);
    }

    /** From the SI value of a unit, which counts turns, to radians a second. */
    public static function radians(Unit $unit): float
    {
        return self::isRpm($unit) ? 2 * M_PI : 1.0;
    }
}
