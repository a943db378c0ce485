<?php

declare(strict_types=1);

namespace Lustrum\Core\Working\Sum;

use Lustrum\Core\Working\About;
use Lustrum\Core\Working\Field;
use Lustrum\Core\Working\Given;
use Lustrum\Core\Working\Output;
use Lustrum\Core\Working\Working;

/** How far something can get that is thrown or let go. */
final readonly class Reach implements Working
{
    private const G = 9.80665;

    public function about(): About
    {
        return new About(
            'Furthest reach',
            'How far something thrown or let go can get at the worst angle, and how far wind carries what sinks: for the distance to keep out of.',
            ['keep-out distance', 'how far can it fly', 'throw', 'burst', 'drift', 'safety distance', 'range'],
            [
                Field::of('speed', 'Speed at the start', 'v', 'm/s'),
                Field::of('height', 'Height above where it lands', 'h', 'm')->orNot(0.0)->from(0.0),
                Field::of('wind', 'Wind', 'w', 'm/s')->orNot()->from(0.0), Field::of('sinking', 'Sinking speed', 's', 'm/s')->orNot(),
                Field::of('sinkingFrom', 'Height from which it sinks', 'hs', 'm')->orNot(),
            ],
            [
                Output::of('reach', 'Furthest reach', 'R', 'm', 'R = (v/g)·√(v² + 2g·h)'),
                Output::of('angle', 'Angle at which it gets there', 'α', 'deg', 'tan α = v/√(v² + 2g·h)'),
                Output::of('landingSpeed', 'Speed as it lands', 'u', 'm/s', 'u = √(v² + 2g·h)'),
                Output::of('drift', 'Drift under the wind', 'x', 'm', 'x = w·hs/s'),
            ],
            'Throw in a vacuum; Lichtenberg and Wills, American Journal of Physics 46 (1978) 546.',
            'Drag makes the reach shorter, lift, bouncing, rolling and ricochets make it longer; gusts, and wind that is stronger higher up.',
            'This is the least distance to think about, and none that is safe: what bounces or rolls gets further. Local rules come first.',
        );
    }

    public function work(Given $in): array
    {
        $v = $in->the('speed');
        $u = sqrt($v * $v + 2 * self::G * $in->the('height'));

        return ['reach' => $v / self::G * $u, 'angle' => atan2($v, $u), 'landingSpeed' => $u]
            + ($in->has('wind', 'sinking', 'sinkingFrom') ? [
                'drift' => $in->the('wind') * $in->the('sinkingFrom') / $in->the('sinking'),
            ] : []);
    }
}
