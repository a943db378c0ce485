<?php

declare(strict_types=1);

namespace Lustrum\Core\Working\Sum;

use Lustrum\Core\Working\About;
use Lustrum\Core\Working\Entered;
use Lustrum\Core\Working\Field;
use Lustrum\Core\Working\Given;
use Lustrum\Core\Working\Output;
use Lustrum\Core\Working\Working;

/** A screw that lifts a load. */
final readonly class LeadScrew implements Working
{
    public function about(): About
    {
        return new About(
            'Lead screw', 'What torque a screw takes to push a force, and whether it holds by itself.',
            ['screw jack', 'spindle', 'threaded rod', 'self-locking', 'push with a screw'],
            [
                Field::of('force', 'Force along the screw', 'F', 'N'), Field::of('diameter', 'Pitch diameter', 'd', 'mm'),
                Field::of('lead', 'Lead of a turn', 'l', 'mm'), Field::of('friction', 'Friction coefficient', 'μ', '1')->from(0.0),
                Field::of('rotation', 'Rotation', 'n', 'rpm')->orNot()->from(0.0),
            ],
            [
                Output::of('torque', 'Torque to lift', 'T', 'N·m', 'T = F·d/2·(l + π·μ·d)/(π·d − μ·l)'),
                Output::of(
                    'lowerTorque', 'Torque to lower (below nought: it runs back by itself)', 'Tl', 'N·m',
                    'Tl = F·d/2·(π·μ·d − l)/(π·d + μ·l)',
                ),
                Output::of('efficiency', 'Efficiency', 'η', '1', 'η = F·l/(2π·T)'),
                Output::of('speed', 'Speed of the nut', 'v', 'm/s', 'v = n·l')->shownIn('mm/s'),
            ],
            'Square thread; Budynas and Nisbett, Shigley’s Mechanical Engineering Design (10th edition, 2015), 8–2.',
            'The thread’s angle (a trapezoidal one takes some per cent more), friction of the collar, starting, wear.',
            'A load on a screw that runs back comes down when the motor is off: support it before reaching in.',
        );
    }

    public function work(Given $in): array
    {
        [$f, $d, $l, $mu] = [$in->the('force'), $in->the('diameter'), $in->the('lead'), $in->the('friction')];
        if (M_PI * $d <= $mu * $l) {
            throw Entered::undefined('With so steep a lead and so much friction no torque turns it.', 'inputs/lead');
        }
        $torque = $f * $d / 2 * ($l + M_PI * $mu * $d) / (M_PI * $d - $mu * $l);
        $n = $in->maybe('rotation');

        return [
            'torque' => $torque, 'lowerTorque' => $f * $d / 2 * (M_PI * $mu * $d - $l) / (M_PI * $d + $mu * $l),
            'efficiency' => $f * $l / (2 * M_PI * $torque),
        ] + ($n === null ? [] : ['speed' => $n * $l]);
    }
}
