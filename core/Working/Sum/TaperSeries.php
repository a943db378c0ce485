<?php

declare(strict_types=1);

namespace Lustrum\Core\Working\Sum;

use Lustrum\Core\Working\About;
use Lustrum\Core\Working\Entered;
use Lustrum\Core\Working\Field;
use Lustrum\Core\Working\Given;
use Lustrum\Core\Working\Output;
use Lustrum\Core\Working\Working;

/** Sizes of ribs from root to tip, below their skin. */
final readonly class TaperSeries implements Working
{
    public function about(): About
    {
        return new About(
            'Taper series', 'The sizes of ribs or formers between a root and a tip, less the skin that covers them.',
            ['ribs', 'formers', 'taper', 'wing', 'hull', 'sizes in between'],
            [
                Field::of('root', 'Size at the root', 'a', 'mm'), Field::of('tip', 'Size at the tip', 'b', 'mm'),
                Field::of('count', 'How many', 'N', '1')->whole()->from(2.0)->to(200.0),
                Field::of('skin', 'Skin, on each side', 's', 'mm')->orNot(0.0)->from(0.0)->boughtAs(\Lustrum\Core\Working\Stock::Sheet),
            ],
            [Output::of('sizes', 'Sizes', 'x', 'm', 'xᵢ = a + (b − a)·i/(N − 1) − 2s')->shownIn('mm')],
            'Straight taper.', 'Sweep, twist, the angle of the skin, saw kerfs.',
        );
    }

    public function work(Given $in): array
    {
        [$root, $tip, $n, $skin] = [$in->the('root'), $in->the('tip'), (int) round($in->the('count')), $in->the('skin')];
        $sizes = array_map(static fn (int $i): float => $root + ($tip - $root) * $i / ($n - 1) - 2 * $skin, range(0, $n - 1));
        if (min($sizes) <= 0.0) {
            throw Entered::undefined('Below skin on both sides nothing is left of the smallest.', 'inputs/skin');
        }

        return ['sizes' => $sizes];
    }
}
