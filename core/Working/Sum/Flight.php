<?php

declare(strict_types=1);

namespace Lustrum\Core\Working\Sum;

use Lustrum\Core\Working\About;
use Lustrum\Core\Working\Field;
use Lustrum\Core\Working\Given;
use Lustrum\Core\Working\Output;
use Lustrum\Core\Working\Solve;
use Lustrum\Core\Working\Working;

/** Straight up and back to the same height, told by the time it was in the air. */
final readonly class Flight implements Working
{
    private const G = 9.80665;

    public function about(): About
    {
        return new About(
            'Flight from the time aloft', 'How high something went, and how fast it left, from the time until it was back.',
            ['how high did it go', 'apex', 'launch speed', 'time in the air', 'thrown up', 'shot up'],
            [
                Field::of('timeAloft', 'Time until it is back', 'T', 's'),
                Field::of('mass', 'Mass', 'm', 'g')->orNot(),
                Field::of('dragArea', 'Drag area (coefficient times area)', 'CdA', 'cm^2')->orNot(),
                Field::of('airDensity', 'Density of the air', 'ρ', 'kg/m^3')->orNot(1.225),
            ],
            [
                Output::of('apex', 'Apex', 'h', 'm', 'h = g·T²/8'),
                Output::of('launchSpeed', 'Speed at the start', 'v', 'm/s', 'v = g·T/2'),
                Output::of(
                    'apexWithDrag', 'Apex with drag', 'h′', 'm',
                    'h′ = w²/(2g)·ln(1 + s²), w² = 2m·g/(ρ·CdA), T = (w/g)·(atan s + asinh s)',
                ),
                Output::of('launchSpeedWithDrag', 'Speed at the start, with drag', 'v′', 'm/s', 'v′ = s·w'),
                Output::of('landingSpeed', 'Speed as it comes back', 'u', 'm/s', 'u = w·s/√(1 + s²)'),
            ],
            'Free fall with and without square-law drag; Timmerman and van der Weele, American Journal of Physics 67 (1999) 538.',
            'Wind, spin, lift, a launcher that is not at the height of the landing, drag that does not go by the square of the speed.',
            'What goes up comes down, and not where it is expected. Nobody stands below; local rules come first.',
        );
    }

    public function work(Given $in): array
    {
        $t = $in->the('timeAloft');
        $out = ['apex' => self::G * $t * $t / 8, 'launchSpeed' => self::G * $t / 2];
        if (!$in->has('mass', 'dragArea')) {
            return $out;
        }
        $w = sqrt(2 * $in->the('mass') * self::G / ($in->the('airDensity') * $in->the('dragArea')));
        $wanted = self::G * $t / $w;
        $s = Solve::root(static fn (float $s): float => atan($s) + asinh($s) - $wanted, 0.0, max(1.0, sinh(min(700.0, $wanted))));

        return $out + [
            'apexWithDrag' => $w * $w / (2 * self::G) * log1p($s * $s), 'launchSpeedWithDrag' => $s * $w,
            'landingSpeed' => $w * $s / sqrt(1 + $s * $s),
        ];
    }
}
