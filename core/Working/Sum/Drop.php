<?php

declare(strict_types=1);

namespace Lustrum\Core\Working\Sum;

use Lustrum\Core\Working\About;
use Lustrum\Core\Working\Field;
use Lustrum\Core\Working\Given;
use Lustrum\Core\Working\Output;
use Lustrum\Core\Working\Working;

/** What falls from a height and is stopped. */
final readonly class Drop implements Working
{
    private const G = 9.80665;

    public function about(): About
    {
        return new About(
            'Drop', 'How fast something is when it lands, how much energy it brings, and what stopping it takes.',
            ['how fast was it when it hit', 'impact', 'fall', 'drop test', 'deceleration', 'energy of a blow'],
            [
                Field::of('height', 'Height', 'h', 'm'), Field::of('mass', 'Mass', 'm', 'kg'),
                Field::of('stopDistance', 'Distance over which it stops', 'd', 'mm')->orNot(),
            ],
            [
                Output::of('speed', 'Speed as it lands', 'v', 'm/s', 'v = √(2g·h)'),
                Output::of('energy', 'Energy', 'E', 'J', 'E = m·g·h'),
                Output::of('meanDeceleration', 'Mean deceleration', 'a', 'm/s^2', 'a = g·h/d')->shownIn('g0'),
                Output::of('meanForce', 'Mean force', 'F', 'N', 'F = m·g·(1 + h/d)'),
            ],
            'Free fall and the work of stopping; ISO 80000-4:2019.',
            'Drag, bouncing, and the peak: that is higher than the mean, at the least twice as high where the force rises evenly.',
            'Stay clear of what is lifted, and of what bounces; local rules come first.',
        );
    }

    public function work(Given $in): array
    {
        [$h, $m, $d] = [$in->the('height'), $in->the('mass'), $in->maybe('stopDistance')];

        return ['speed' => sqrt(2 * self::G * $h), 'energy' => $m * self::G * $h] + ($d === null ? [] : [
            'meanDeceleration' => self::G * $h / $d, 'meanForce' => $m * self::G * (1 + $h / $d),
        ]);
    }
}
