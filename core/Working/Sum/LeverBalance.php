<?php

declare(strict_types=1);

namespace Lustrum\Core\Working\Sum;

use Lustrum\Core\Working\About;
use Lustrum\Core\Working\Field;
use Lustrum\Core\Working\Given;
use Lustrum\Core\Working\Output;
use Lustrum\Core\Working\Working;

/** A load read off through a lever. */
final readonly class LeverBalance implements Working
{
    public function about(): About
    {
        return new About(
            'Lever balance', 'What a load comes to that is read off through a lever.',
            ['lever', 'scale', 'balance', 'load cell on an arm', 'tare'],
            [
                Field::any('reading', 'Reading', 'R', 'N'), Field::any('tare', 'Reading without the load', 'R₀', 'N')->orNot(0.0),
                Field::of('readingArm', 'Arm of the reading', 'a', 'mm'), Field::of('loadArm', 'Arm of the load', 'b', 'mm'),
            ],
            [Output::of('load', 'Load', 'F', 'N', 'F = (R − R₀)·a/b')],
            'Balance of moments; ISO 80000-4:2019, 4-12.',
            'Friction of the pivot, a lever that bends or stands askew: both arms are taken at right angles to their forces.',
        );
    }

    public function work(Given $in): array
    {
        return ['load' => ($in->the('reading') - $in->the('tare')) * $in->the('readingArm') / $in->the('loadArm')];
    }
}
