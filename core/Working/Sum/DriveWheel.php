<?php

declare(strict_types=1);

namespace Lustrum\Core\Working\Sum;

use Lustrum\Core\Working\About;
use Lustrum\Core\Working\Field;
use Lustrum\Core\Working\Given;
use Lustrum\Core\Working\Output;
use Lustrum\Core\Working\Working;

/** What a wheel has to give on a slope. */
final readonly class DriveWheel implements Working
{
    private const G = 9.80665;

    public function about(): About
    {
        return new About(
            'Drive wheel', 'What force, torque and power it takes to roll up a slope, and what grip.',
            ['motor for a cart', 'wheel torque', 'slope', 'hill', 'rolling resistance', 'will it climb'],
            [
                Field::of('diameter', 'Diameter of the wheel', 'D', 'mm'), Field::of('mass', 'Mass of all', 'm', 'kg'),
                Field::any('slope', 'Slope', 'α', 'deg')->orNot(0.0)->from(-89.0)->to(89.0),
                Field::of('rolling', 'Rolling resistance coefficient', 'c', '1')->orNot(0.0)->from(0.0),
                Field::of('speed', 'Speed', 'v', 'km/h'),
            ],
            [
                Output::of('force', 'Force', 'F', 'N', 'F = m·g·(sin α + c·cos α)'),
                Output::of('torque', 'Torque at the axle', 'T', 'N·m', 'T = F·D/2'),
                Output::of('rotation', 'Rotation', 'n', 'rpm', 'n = v/(π·D)'),
                Output::of('power', 'Power at the wheel', 'P', 'W', 'P = F·v'),
                Output::of('gripNeeded', 'Grip needed, where all weight is on driven wheels', 'μ', '1', 'μ = F/(m·g·cos α)'),
            ],
            'Forces on a slope; Gillespie, Fundamentals of Vehicle Dynamics (1992), 4.',
            'Getting going, kerbs and stones, wind, what the gearbox loses, wheels that are not driven.',
            'What stands on a slope rolls: chock it; nobody stands below.',
        );
    }

    public function work(Given $in): array
    {
        [$a, $weight, $d, $v] = [$in->the('slope'), $in->the('mass') * self::G, $in->the('diameter'), $in->the('speed')];
        $force = $weight * (sin($a) + $in->the('rolling') * cos($a));

        return [
            'force' => $force, 'torque' => $force * $d / 2, 'rotation' => $v / (M_PI * $d), 'power' => $force * $v,
            'gripNeeded' => $force / ($weight * cos($a)),
        ];
    }
}
