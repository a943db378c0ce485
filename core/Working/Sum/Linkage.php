<?php

declare(strict_types=1);

namespace Lustrum\Core\Working\Sum;

use Lustrum\Core\Working\About;
use Lustrum\Core\Working\Entered;
use Lustrum\Core\Working\Field;
use Lustrum\Core\Working\Given;
use Lustrum\Core\Working\Output;
use Lustrum\Core\Working\Working;

/** An actuator that swings an arm. */
final readonly class Linkage implements Working
{
    /** Places at which the range is looked at. */
    private const LOOKS = 200;

    public function about(): About
    {
        return new About(
            'Actuator and arm', 'Through which angle an actuator swings an arm, and how hard and how fast its tip is over the range.',
            ['linkage', 'linear actuator', 'cylinder', 'lid', 'stroke', 'dead point', 'crank', 'servo arm'],
            [
                Field::of('base', 'Pivot to the actuator’s fixed end', 'b', 'mm'),
                Field::of('attachment', 'Pivot to its end on the arm', 'a', 'mm'),
                Field::of('shortest', 'Length drawn in', 'c₀', 'mm'), Field::of('longest', 'Length driven out', 'c₁', 'mm'),
                Field::of('force', 'Force of the actuator', 'F', 'N'), Field::of('arm', 'Pivot to the tip', 'r', 'mm'),
                Field::of('speed', 'Speed of the actuator', 'v', 'mm/s')->orNot(),
            ],
            [
                Output::of('from', 'Angle drawn in', 'θ₀', 'deg', 'cos θ = (a² + b² − c²)/(2a·b)'),
                Output::of('to', 'Angle driven out', 'θ₁', 'deg'),
                Output::of('swing', 'Swing', 'Δθ', 'deg', 'Δθ = θ₁ − θ₀'),
                Output::of('leastForce', 'Least force at the tip', 'F₋', 'N', 'Ft = F·h/r, h = a·b·sin θ/c')->main(),
                Output::of('greatestForce', 'Greatest force at the tip', 'F₊', 'N'),
                Output::of('weakestAt', 'Angle at which it is weakest', 'θ₋', 'deg'),
                Output::of('greatestSpeed', 'Greatest speed of the tip', 'v₊', 'm/s', 'vt = v·r/h')->shownIn('mm/s'),
            ],
            'Law of cosines and virtual work; Uicker and others, Theory of Machines and Mechanisms (4th edition, 2011), 1 and 3.',
            'Weight of the arm, friction, play, bending. Near a dead point (the three joints in a line) force goes to nought and speed without end.',
            'It pinches: keep hands out of the swing, and hold up what comes down when the power goes.',
        );
    }

    public function work(Given $in): array
    {
        [$a, $b, $c0, $c1, $f, $r] = array_map($in->the(...), ['attachment', 'base', 'shortest', 'longest', 'force', 'arm']);
        if ($c1 <= $c0) {
            throw Entered::undefined('Driven out it is longer than drawn in.', 'inputs/longest');
        }
        foreach (['shortest' => $c0, 'longest' => $c1] as $name => $c) {
            if ($c <= abs($a - $b) || $c >= $a + $b) {
                throw Entered::undefined('There the three joints lie in a line, or do not meet: a dead point.', 'inputs/'.$name);
            }
        }
        $angle = static fn (float $c): float => acos(($a * $a + $b * $b - $c * $c) / (2 * $a * $b));
        $levers = [];
        for ($i = 0; $i <= self::LOOKS; ++$i) {
            $c = $c0 + ($c1 - $c0) * $i / self::LOOKS;
            $levers[$i] = $a * $b * sin($angle($c)) / $c;
        }
        $least = min($levers);
        $at = (int) array_search($least, $levers, true);
        $v = $in->maybe('speed');

        return [
            'from' => $angle($c0), 'to' => $angle($c1), 'swing' => $angle($c1) - $angle($c0), 'leastForce' => $f * $least / $r,
            'greatestForce' => $f * max($levers) / $r, 'weakestAt' => $angle($c0 + ($c1 - $c0) * $at / self::LOOKS),
        ] + ($v === null ? [] : ['greatestSpeed' => $v * $r / $least]);
    }
}
