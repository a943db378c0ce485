<?php

declare(strict_types=1);

namespace Lustrum\Core\Working\Sum;

use Lustrum\Core\Working\About;
use Lustrum\Core\Working\Field;
use Lustrum\Core\Working\Given;
use Lustrum\Core\Working\Output;
use Lustrum\Core\Working\Working;

/** A spring that balances an arm at every angle. */
final readonly class CounterbalanceSpring implements Working
{
    private const G = 9.80665;

    public function about(): About
    {
        return new About(
            'Counterbalance spring', 'Which spring balances an arm at every angle.',
            ['balance an arm', 'spring rate', 'lid', 'lamp arm', 'gravity'],
            [
                Field::of('mass', 'Mass of the arm and its load', 'm', 'kg'),
                Field::of('arm', 'Distance of their centre from the pivot', 'r', 'mm'),
                Field::of('attachment', 'Distance of the spring’s end along the arm', 'a', 'mm'),
                Field::of('anchorHeight', 'Height of the anchor above the pivot', 'h', 'mm'),
            ],
            [
                Output::of('rate', 'Spring rate (of a spring of zero free length)', 'k', 'N/m', 'k = m·g·r/(a·h)')->shownIn('N/mm'),
                Output::of('moment', 'Moment with the arm level', 'M', 'N·m', 'M = m·g·r'),
            ],
            'Carwardine’s balance; French and Widden, Proceedings of the Institution of Mechanical Engineers C 214 (2000) 501.',
            'Free length (a cable over a pulley makes it nought), friction, the mass of the spring, its ends.',
            'A stretched spring strikes when it lets go: take its load off before working on it.',
        );
    }

    public function work(Given $in): array
    {
        $moment = $in->the('mass') * self::G * $in->the('arm');

        return ['rate' => $moment / ($in->the('attachment') * $in->the('anchorHeight')), 'moment' => $moment];
    }
}
