<?php

declare(strict_types=1);

namespace Lustrum\Core\Working\Sum;

use Lustrum\Core\InvalidInput;
use Lustrum\Core\Working\About;
use Lustrum\Core\Working\Entered;
use Lustrum\Core\Working\Field;
use Lustrum\Core\Working\Given;
use Lustrum\Core\Working\Output;
use Lustrum\Core\Working\Working;

/** Where the weight sits, and what brings it elsewhere. */
final readonly class CentreOfGravity implements Working
{
    public function about(): About
    {
        return new About(
            'Centre of gravity', 'Where the weight of several parts sits, and what ballast brings it where it is wanted.',
            ['balance', 'ballast', 'trim', 'where is its middle', 'tip over'],
            [
                Field::many('masses', 'Masses', 'm', 'kg'), Field::many('positions', 'Positions along a line', 'x', 'mm'),
                Field::any('wanted', 'Where it should be', 'w', 'mm')->orNot(),
                Field::any('ballastAt', 'Where ballast can go', 'xb', 'mm')->orNot(),
            ],
            [
                Output::of('mass', 'Mass of all', 'M', 'kg', 'M = Σm'),
                Output::of('centre', 'Centre of gravity', 'c', 'm', 'c = Σ(m·x)/M')->main()->shownIn('mm'),
                Output::of('ballast', 'Ballast', 'B', 'kg', 'B = M·(c − w)/(w − xb)'),
            ],
            'First moment of mass; ISO 80000-4:2019.',
            'The other two directions, liquids that slosh, what is used up on the way.',
            'What tips over falls on somebody: hold it while its balance is tried.',
        );
    }

    public function work(Given $in): array
    {
        [$masses, $positions] = [$in->many('masses'), $in->many('positions')];
        if (count($masses) !== count($positions)) {
            throw InvalidInput::because('As many positions as masses are wanted.', 'inputs/positions');
        }
        foreach ($masses as $i => $mass) {
            if ($mass < 0.0) {
                throw InvalidInput::because('A mass below nought is none.', 'inputs/masses/'.$i);
            }
        }
        $all = array_sum($masses);
        $centre = array_sum(array_map(static fn (float $m, float $x): float => $m * $x, $masses, $positions)) / $all;
        [$wanted, $at] = [$in->maybe('wanted'), $in->maybe('ballastAt')];
        if ($wanted === null || $at === null) {
            return ['mass' => $all, 'centre' => $centre];
        }
        $ballast = $wanted === $at ? -1.0 : $all * ($centre - $wanted) / ($wanted - $at);
        if ($ballast < 0.0) {
            throw Entered::unreachable('Ballast there moves it the other way, or not at all.', 'inputs/ballastAt');
        }

        return ['mass' => $all, 'centre' => $centre, 'ballast' => $ballast];
    }
}
