<?php

declare(strict_types=1);

namespace Lustrum\Core\Working;

use Lustrum\Core\Check\StandardPart;

/** What can be bought in steps, and which of them comes nearest. */
enum Stock: string
{
    /** Preferred values of a decade (IEC 60063:2015, E24). */
    case Resistor = 'resistor';
    /** Twist drills in steps of a tenth to 14 mm, then of a half to 25 mm (ISO 235:2016, the common ones). */
    case Drill = 'drill';
    /** Sheet and plate as most dealers keep it; others are to be had. */
    case Sheet = 'sheet';

    private const SHEETS = [0.5, 0.6, 0.8, 1.0, 1.2, 1.5, 2.0, 2.5, 3.0, 4.0, 5.0, 6.0, 8.0, 10.0, 12.0, 15.0, 20.0, 25.0, 30.0];

    private const THINNEST = 0.3;
    private const TENTHS_TO = 14.0;
    private const HALVES_TO = 25.0;

    /** In the SI unit; null where nothing near it is kept. */
    public function nearest(float $si): ?float
    {
        return match ($this) {
            self::Resistor => $si > 0.0 ? StandardPart::resistor($si, 'Ω')->nearest : null,
            self::Drill => self::drill($si * 1e3),
            self::Sheet => self::sheet($si * 1e3),
        };
    }

    private static function drill(float $mm): ?float
    {
        if ($mm < self::THINNEST || $mm > self::HALVES_TO) {
            return null;
        }

        return ($mm <= self::TENTHS_TO ? round($mm * 10) / 10 : round($mm * 2) / 2) / 1e3;
    }

    private static function sheet(float $mm): ?float
    {
        $steps = self::SHEETS;
        if ($mm < $steps[0] / 2 || $mm > end($steps)) {
            return null;
        }
        usort($steps, static fn (float $a, float $b): int => abs($a - $mm) <=> abs($b - $mm));

        return $steps[0] / 1e3;
    }
}
