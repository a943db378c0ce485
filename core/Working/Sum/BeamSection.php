<?php

declare(strict_types=1);

namespace Lustrum\Core\Working\Sum;

use Lustrum\Core\Working\About;
use Lustrum\Core\Working\Field;
use Lustrum\Core\Working\Given;
use Lustrum\Core\Working\Output;
use Lustrum\Core\Working\Stock;
use Lustrum\Core\Working\Working;

/** What thickness does to a strip that is bent. */
final readonly class BeamSection implements Working
{
    public function about(): About
    {
        return new About(
            'Section of a strip', 'What another thickness does to strength, stiffness and mass of a strip that is bent.',
            ['how thick', 'thicker', 'stiffness', 'bending', 'bracket', 'plate', 'section modulus'],
            [
                Field::of('width', 'Width', 'b', 'mm'), Field::of('thickness', 'Thickness', 't', 'mm')->boughtAs(Stock::Sheet),
                Field::of('newThickness', 'Other thickness', 't′', 'mm')->boughtAs(Stock::Sheet),
            ],
            [
                Output::of('secondMoment', 'Second moment of area', 'I', 'm^4', 'I = b·t³/12')->shownIn('mm^4'),
                Output::of('sectionModulus', 'Section modulus', 'W', 'm^3', 'W = b·t²/6')->shownIn('mm^3'),
                Output::of('strengthRatio', 'Strength, of what it was', 'rs', '1', 'rs = (t′/t)²')->main(),
                Output::of('stiffnessRatio', 'Stiffness, of what it was', 'rk', '1', 'rk = (t′/t)³'),
                Output::of('massRatio', 'Mass, of what it was', 'rm', '1', 'rm = t′/t'),
            ],
            'Bending of a beam; Roark’s Formulas for Stress and Strain (8th edition, 2012), table A.1, case 2.',
            'Notches, holes, buckling, print layers, fatigue, shear of short pieces.',
        );
    }

    public function work(Given $in): array
    {
        [$b, $t] = [$in->the('width'), $in->the('thickness')];
        $r = $in->the('newThickness') / $t;

        return [
            'secondMoment' => $b * $t ** 3 / 12, 'sectionModulus' => $b * $t * $t / 6, 'strengthRatio' => $r * $r,
            'stiffnessRatio' => $r ** 3, 'massRatio' => $r,
        ];
    }
}
