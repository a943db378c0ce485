<?php

declare(strict_types=1);

namespace Lustrum\Core\Working\Sum;

use Lustrum\Core\Working\About;
use Lustrum\Core\Working\Field;
use Lustrum\Core\Working\Given;
use Lustrum\Core\Working\Output;
use Lustrum\Core\Working\Working;

/** What is left of what went in, without its water. */
final readonly class DryYield implements Working
{
    public function about(): About
    {
        return new About(
            'Yield on a dry basis', 'What share of what went in came out, without the water in either.',
            ['yield', 'moisture', 'drying', 'dry matter', 'how much came out'],
            [
                Field::of('input', 'Went in', 'a', 'kg'),
                Field::of('inputMoisture', 'Its moisture (of the wet mass)', 'x', '1')->from(0.0)->to(1.0, below: true),
                Field::of('output', 'Came out', 'b', 'kg')->from(0.0),
                Field::of('outputMoisture', 'Its moisture (of the wet mass)', 'y', '1')->orNot(0.0)->from(0.0)->to(1.0, below: true),
            ],
            [
                Output::of('dryInput', 'Went in, dry', 'A', 'kg', 'A = a·(1 − x)'),
                Output::of('dryOutput', 'Came out, dry', 'B', 'kg', 'B = b·(1 − y)'),
                Output::of('yield', 'Yield', 'Y', '1', 'Y = B/A')->main()->shownIn('%'),
            ],
            'Moisture on the wet basis: water over all; ISO 712-1:2024.',
            'What stuck to the machine, dust that flew off, water that came and went while it was weighed.',
        );
    }

    public function work(Given $in): array
    {
        $dry = $in->the('input') * (1 - $in->the('inputMoisture'));
        $out = $in->the('output') * (1 - $in->the('outputMoisture'));

        return ['dryInput' => $dry, 'dryOutput' => $out, 'yield' => $out / $dry];
    }
}
