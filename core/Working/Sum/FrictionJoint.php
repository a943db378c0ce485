<?php

declare(strict_types=1);

namespace Lustrum\Core\Working\Sum;

use Lustrum\Core\Working\About;
use Lustrum\Core\Working\Field;
use Lustrum\Core\Working\Given;
use Lustrum\Core\Working\Output;
use Lustrum\Core\Working\Working;

/** What a clamped joint holds by friction. */
final readonly class FrictionJoint implements Working
{
    public function about(): About
    {
        return new About(
            'Clamped joint', 'What a joint that is held by the friction of its screws carries across.',
            ['bolt', 'screw', 'torque of a bolt', 'does it slip', 'clamp', 'preload'],
            [
                Field::of('torque', 'Tightening torque', 'T', 'N·m'), Field::of('diameter', 'Diameter of the screw', 'd', 'mm'),
                Field::of('nutFactor', 'Nut factor', 'K', '1')->orNot(0.2), Field::of('bolts', 'Screws', 'N', '1')->orNot(1.0)->whole(),
                Field::of('surfaces', 'Surfaces that rub', 's', '1')->orNot(1.0)->whole(),
                Field::of('friction', 'Friction coefficient', 'μ', '1'),
                Field::of('load', 'Load across', 'L', 'N')->orNot(),
            ],
            [
                Output::of('preload', 'Preload of one screw', 'Fv', 'N', 'Fv = T/(K·d)'),
                Output::of('holding', 'Held by friction', 'H', 'N', 'H = μ·Fv·N·s')->main(),
                Output::of('margin', 'Holding over load', 'f', '1', 'f = H/L'),
            ],
            'Budynas and Nisbett, Shigley’s Mechanical Engineering Design (10th edition, 2015), 8–8.',
            'Settling, heat, plastic that creeps, oil. The nut factor varies by a third either way between screws that look alike.',
            'A torque read off is no preload: where somebody can get hurt, it is measured, and checked again after use.',
        );
    }

    public function work(Given $in): array
    {
        $preload = $in->the('torque') / ($in->the('nutFactor') * $in->the('diameter'));
        $holding = $in->the('friction') * $preload * $in->the('bolts') * $in->the('surfaces');
        $load = $in->maybe('load');

        return ['preload' => $preload, 'holding' => $holding] + ($load === null ? [] : ['margin' => $holding / $load]);
    }
}
