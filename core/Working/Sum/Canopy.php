<?php

declare(strict_types=1);

namespace Lustrum\Core\Working\Sum;

use Lustrum\Core\InvalidInput;
use Lustrum\Core\Working\About;
use Lustrum\Core\Working\Field;
use Lustrum\Core\Working\Given;
use Lustrum\Core\Working\Output;
use Lustrum\Core\Working\Working;

/** A canopy that sinks evenly. */
final readonly class Canopy implements Working
{
    private const G = 9.80665;

    public function about(): About
    {
        return new About(
            'Canopy', 'How large a canopy has to be for a speed of descent, or how fast one comes down.',
            ['parachute', 'descent', 'sinking speed', 'how fast does it come down', 'brake'],
            [
                Field::of('mass', 'Mass below it', 'm', 'kg'), Field::of('dragCoefficient', 'Drag coefficient', 'Cd', '1'),
                Field::of('speed', 'Speed of descent', 'v', 'm/s')->orNot(),
                Field::of('diameter', 'Diameter of the canopy', 'D', 'm')->orNot(),
                Field::of('airDensity', 'Density of the air', 'ρ', 'kg/m^3')->orNot(1.225),
            ],
            [
                Output::of('area', 'Area', 'A', 'm^2', 'A = 2m·g/(ρ·v²·Cd)'),
                Output::of('diameter', 'Diameter', 'D', 'm', 'D = √(4A/π)')->main(),
                Output::of('speed', 'Speed of descent', 'v', 'm/s', 'v = √(8m·g/(ρ·Cd·π·D²))'),
            ],
            'Weight against drag at an even descent: m·g = ½ρ·v²·Cd·π·D²/4; Knacke, Parachute Recovery Systems Design Manual (1992), 5.1.',
            'The jerk of opening, swinging, wind, a canopy that does not open.',
            'Nobody stands below what is let down, and a canopy that may fail needs a second one; local rules come first.',
        );
    }

    public function work(Given $in): array
    {
        [$v, $d] = [$in->maybe('speed'), $in->maybe('diameter')];
        if (($v === null) === ($d === null)) {
            throw InvalidInput::because('Give the speed or the diameter, one of them.', 'inputs/'.($v === null ? 'speed' : 'diameter'));
        }
        $weight = $in->the('mass') * self::G;
        $by = $in->the('airDensity') * $in->the('dragCoefficient') / 2;
        if ($v !== null) {
            $area = $weight / ($by * $v * $v);

            return ['area' => $area, 'diameter' => sqrt(4 * $area / M_PI), 'speed' => $v];
        }
        $area = M_PI * $d * $d / 4;

        return ['area' => $area, 'diameter' => $d, 'speed' => sqrt($weight / ($by * $area))];
    }
}
