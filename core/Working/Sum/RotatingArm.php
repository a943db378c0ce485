<?php

declare(strict_types=1);

namespace Lustrum\Core\Working\Sum;

use Lustrum\Core\Working\About;
use Lustrum\Core\Working\Field;
use Lustrum\Core\Working\Given;
use Lustrum\Core\Working\Output;
use Lustrum\Core\Working\Working;

/** What turns, and what pulls at its root. */
final readonly class RotatingArm implements Working
{
    public function about(): About
    {
        return new About(
            'Rotating arm', 'How fast the tip of a turning arm moves, and what pulls at its root.',
            ['tip speed', 'how fast was it when it hit', 'centrifugal', 'spin', 'rotor', 'flywheel', 'flail'],
            [
                Field::of('radius', 'Radius', 'r', 'mm'),
                Field::any('rotation', 'Rotation', 'n', 'rpm')->from(0.0),
                Field::of('mass', 'Mass at the radius', 'm', 'g'),
            ],
            [
                Output::of('tipSpeed', 'Speed of the tip', 'v', 'm/s', 'v = 2π·n·r'),
                Output::of('acceleration', 'Acceleration', 'a', 'm/s^2', 'a = (2π·n)²·r')->shownIn('g0'),
                Output::of('pull', 'Pull at the root', 'F', 'N', 'F = m·a'),
            ],
            'Circular motion; ISO 80000-3:2019, 3-10 and 3-11.',
            'The mass of the arm itself, bending, air, and whatever comes loose: a part that leaves goes off at the speed of the tip.',
            'A part that comes loose flies off along the tangent. Stand out of its plane, behind a guard; local rules come first.',
        );
    }

    public function work(Given $in): array
    {
        $w = 2 * M_PI * $in->the('rotation');
        $a = $w * $w * $in->the('radius');

        return ['tipSpeed' => $w * $in->the('radius'), 'acceleration' => $a, 'pull' => $in->the('mass') * $a];
    }
}
