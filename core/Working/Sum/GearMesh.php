<?php

declare(strict_types=1);

namespace Lustrum\Core\Working\Sum;

use Lustrum\Core\Working\About;
use Lustrum\Core\Working\Entered;
use Lustrum\Core\Working\Field;
use Lustrum\Core\Working\Given;
use Lustrum\Core\Working\Output;
use Lustrum\Core\Working\Working;

/** Two spur gears. */
final readonly class GearMesh implements Working
{
    public function about(): About
    {
        return new About(
            'Gear mesh', 'How far apart two spur gears sit, how well they mesh, and what the second one does.',
            ['gears', 'gear ratio', 'reduction', 'centre distance', 'contact ratio', 'teeth'],
            [
                Field::of('module', 'Module', 'm', 'mm'), Field::of('driverTeeth', 'Teeth of the driver', 'z₁', '1')->whole()->from(5.0),
                Field::of('drivenTeeth', 'Teeth of the driven', 'z₂', '1')->whole()->from(5.0),
                Field::of('rotation', 'Rotation of the driver', 'n₁', 'rpm')->orNot()->from(0.0),
                Field::any('torque', 'Torque of the driver', 'T₁', 'N·m')->orNot(),
                Field::of('efficiency', 'Efficiency', 'η', '1')->orNot(1.0)->to(1.0),
                Field::of('pressureAngle', 'Pressure angle', 'α', 'deg')->orNot(20.0)->to(45.0, below: true),
            ],
            [
                Output::of('ratio', 'Ratio', 'i', '1', 'i = z₂/z₁'),
                Output::of('centreDistance', 'Centre distance', 'a', 'm', 'a = m·(z₁ + z₂)/2')->shownIn('mm'),
                Output::of('contactRatio', 'Contact ratio', 'ε', '1', 'ε = (√(ra₁² − rb₁²) + √(ra₂² − rb₂²) − a·sin α)/(π·m·cos α)'),
                Output::of('drivenRotation', 'Rotation of the driven', 'n₂', 'rpm', 'n₂ = n₁/i'),
                Output::of('drivenTorque', 'Torque of the driven', 'T₂', 'N·m', 'T₂ = T₁·i·η'),
            ],
            'Standard involute spur gears, addendum one module; ISO 21771:2007, 5.4.',
            'Undercut of few teeth, backlash, strength and wear of the teeth. Below a contact ratio of 1.2 it runs roughly.',
            'Gears draw fingers, hair and sleeves in: cover them, motor off before reaching in.',
        );
    }

    public function work(Given $in): array
    {
        [$m, $z1, $z2, $angle] = [$in->the('module'), $in->the('driverTeeth'), $in->the('drivenTeeth'), $in->the('pressureAngle')];
        $centres = $m * ($z1 + $z2) / 2;
        $along = static fn (float $z): float => sqrt(($m * ($z + 2) / 2) ** 2 - ($m * $z / 2 * cos($angle)) ** 2);
        $contact = ($along($z1) + $along($z2) - $centres * sin($angle)) / (M_PI * $m * cos($angle));
        if ($contact <= 0.0) {
            throw Entered::undefined('Teeth like these do not reach each other.', 'inputs/pressureAngle');
        }
        [$n, $t] = [$in->maybe('rotation'), $in->maybe('torque')];

        return ['ratio' => $z2 / $z1, 'centreDistance' => $centres, 'contactRatio' => $contact]
            + ($n === null ? [] : ['drivenRotation' => $n * $z1 / $z2])
            + ($t === null ? [] : ['drivenTorque' => $t * $z2 / $z1 * $in->the('efficiency')]);
    }
}
