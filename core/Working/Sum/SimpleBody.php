<?php

declare(strict_types=1);

namespace Lustrum\Core\Working\Sum;

use Lustrum\Core\InvalidInput;
use Lustrum\Core\Working\About;
use Lustrum\Core\Working\Field;
use Lustrum\Core\Working\Given;
use Lustrum\Core\Working\Output;
use Lustrum\Core\Working\Stock;
use Lustrum\Core\Working\Working;

/** What a simple body weighs. */
final readonly class SimpleBody implements Working
{
    /** Measures that each shape takes. */
    private const NEEDS = [
        'block' => ['length', 'width', 'height'], 'cylinder' => ['diameter', 'length'], 'tube' => ['diameter', 'wall', 'length'],
        'ball' => ['diameter'], 'cone' => ['diameter', 'length'],
    ];

    public function about(): About
    {
        return new About(
            'Mass of a simple body', 'Volume, mass and surface of a block, cylinder, tube, ball or cone.',
            ['how heavy', 'weight', 'volume', 'mass of a part', 'tube', 'rod', 'paint'],
            [
                Field::choice('shape', 'Shape', array_keys(self::NEEDS)), Field::of('density', 'Density', 'ρ', 'kg/m^3'),
                Field::of('length', 'Length', 'l', 'mm')->orNot(), Field::of('width', 'Width', 'b', 'mm')->orNot(),
                Field::of('height', 'Height', 'h', 'mm')->orNot()->boughtAs(Stock::Sheet),
                Field::of('diameter', 'Diameter', 'd', 'mm')->orNot(),
                Field::of('wall', 'Wall', 't', 'mm')->orNot()->boughtAs(Stock::Sheet),
                Field::of('count', 'How many', 'N', '1')->orNot(1.0)->whole(),
            ],
            [
                Output::of('volume', 'Volume of one', 'V', 'm^3', 'V = l·b·h, π·d²/4·l, π·(d − t)·t·l, π·d³/6 or π·d²/12·l')->shownIn(
                    'cm^3',
                ),
                Output::of('mass', 'Mass of all', 'm', 'kg', 'm = N·ρ·V')->main(),
                Output::of('surface', 'Outer surface of one', 'A', 'm^2', 'as the shape has it; of a tube without its inside and its ends')->shownIn('cm^2'),
            ],
            'Bronshtein and others, Handbook of Mathematics (6th edition, 2015), 3.3.',
            'Rounded edges, holes, infill, glue and paint.',
        );
    }

    public function work(Given $in): array
    {
        $shape = $in->choice('shape');
        foreach (self::NEEDS[$shape] ?? [] as $name) {
            if (!$in->has($name)) {
                throw InvalidInput::because('This shape needs it.', 'inputs/'.$name);
            }
        }
        [$l, $d, $t] = [$in->maybe('length') ?? 0.0, $in->maybe('diameter') ?? 0.0, $in->maybe('wall') ?? 0.0];
        [$b, $h] = [$in->maybe('width') ?? 0.0, $in->maybe('height') ?? 0.0];
        if ($shape === 'tube' && 2 * $t >= $d) {
            throw InvalidInput::because('So thick a wall leaves no bore.', 'inputs/wall');
        }
        [$volume, $surface] = match ($shape) {
            'block' => [$l * $b * $h, 2 * ($l * $b + $b * $h + $h * $l)],
            'cylinder' => [M_PI * $d * $d / 4 * $l, M_PI * $d * ($l + $d / 2)],
            'tube' => [M_PI * ($d - $t) * $t * $l, M_PI * $d * $l],
            'ball' => [M_PI * $d ** 3 / 6, M_PI * $d * $d],
            default => [M_PI * $d * $d / 12 * $l, M_PI * $d / 2 * ($d / 2 + hypot($d / 2, $l))],
        };

        return ['volume' => $volume, 'mass' => $in->the('count') * $in->the('density') * $volume, 'surface' => $surface];
    }
}
