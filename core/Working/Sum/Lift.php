<?php

declare(strict_types=1);

namespace Lustrum\Core\Working\Sum;

use Lustrum\Core\Working\About;
use Lustrum\Core\Working\Field;
use Lustrum\Core\Working\Given;
use Lustrum\Core\Working\Output;
use Lustrum\Core\Working\Working;

/** What may be lifted by hand. */
final readonly class Lift implements Working
{
    /** Of the load that is taken for anybody, in kg. */
    private const CONSTANT = 23.0;

    /**
     * Lifts a minute => multipliers, up to 1, 2 and 8 hours a day, each from below 75 cm and from there on.
     */
    private const FREQUENCY = [
        '0.2' => [1.00, 1.00, 0.95, 0.95, 0.85, 0.85], '0.5' => [0.97, 0.97, 0.92, 0.92, 0.81, 0.81],
        '1' => [0.94, 0.94, 0.88, 0.88, 0.75, 0.75],
        '2' => [0.91, 0.91, 0.84, 0.84, 0.65, 0.65], '3' => [0.88, 0.88, 0.79, 0.79, 0.55, 0.55],
        '4' => [0.84, 0.84, 0.72, 0.72, 0.45, 0.45],
        '5' => [0.80, 0.80, 0.60, 0.60, 0.35, 0.35], '6' => [0.75, 0.75, 0.50, 0.50, 0.27, 0.27],
        '7' => [0.70, 0.70, 0.42, 0.42, 0.22, 0.22],
        '8' => [0.60, 0.60, 0.35, 0.35, 0.18, 0.18], '9' => [0.52, 0.52, 0.30, 0.30, 0.00, 0.15],
        '10' => [0.45, 0.45, 0.26, 0.26, 0.00, 0.13],
        '11' => [0.41, 0.41, 0.00, 0.23, 0.00, 0.00], '12' => [0.37, 0.37, 0.00, 0.21, 0.00, 0.00],
        '13' => [0.00, 0.34, 0.00, 0.00, 0.00, 0.00],
        '14' => [0.00, 0.31, 0.00, 0.00, 0.00, 0.00], '15' => [0.00, 0.28, 0.00, 0.00, 0.00, 0.00],
    ];

    public function about(): About
    {
        return new About(
            'Lift by hand', 'What is recommended to be lifted by hand, by one or by two.',
            ['lifting', 'too heavy', 'carry', 'two people', 'back', 'ergonomics'],
            [
                Field::of('mass', 'Mass', 'm', 'kg'), Field::of('horizontal', 'Hands in front of the ankles', 'H', 'cm'),
                Field::of('vertical', 'Hands above the floor, at the start', 'V', 'cm')->from(0.0),
                Field::of('travel', 'How far up or down', 'D', 'cm')->from(0.0),
                Field::of('asymmetry', 'Twist of the trunk', 'A', 'deg')->orNot(0.0)->from(0.0)->to(180.0),
                Field::of('frequency', 'Lifts a minute', 'f', '1')->orNot(0.2),
                Field::of('duration', 'Hours of lifting a day', 't', 'h')->orNot(1.0)->to(8.0),
                Field::choice('coupling', 'Grip', ['good', 'fair', 'poor'], 'good'),
                Field::of('people', 'People', 'p', '1')->orNot(1.0)->whole()->to(2.0),
            ],
            [
                Output::of('recommended', 'Recommended at the most', 'R', 'kg', 'R = 23 kg·HM·VM·DM·AM·FM·CM'),
                Output::of('index', 'Mass over what is recommended', 'LI', '1', 'LI = m/R'),
            ],
            'Revised NIOSH equation; Waters and others, Applications Manual (DHHS 94-110, 1994), the next higher frequency of its table; two people: '
                .'two thirds of what both may lift.',
            'Carrying, one hand, kneeling, slippery floors, heat, pregnancy, youth and old injuries.',
            'Above one it is too much for some, above three for most. Nobody has to lift what hurts; local rules come first.',
        );
    }

    public function work(Given $in): array
    {
        $cm = static fn (string $name): float => $in->the($name) * 100;
        [$h, $v, $d] = [max(25.0, $cm('horizontal')), $cm('vertical'), max(25.0, $cm('travel'))];
        $twist = rad2deg($in->the('asymmetry'));
        $within = $h <= 63.0 && $v <= 175.0 && $d <= 175.0 && $twist <= 135.0;
        $each = $within ? self::CONSTANT * (25 / $h) * (1 - 0.003 * abs($v - 75)) * (0.82 + 4.5 / $d) * (1 - 0.0032 * $twist)
            * self::often($in->the('frequency'), $in->the('duration') / 3600, $v) * self::grip($in->choice('coupling'), $v) : 0.0;
        $people = $in->the('people');
        $recommended = $people > 1.0 ? $each * $people * 2 / 3 : $each;

        return ['recommended' => $recommended, 'index' => $recommended > 0.0 ? $in->the('mass') / $recommended : null];
    }

    private static function often(float $aMinute, float $hours, float $v): float
    {
        $column = ($hours <= 1.0 ? 0 : ($hours <= 2.0 ? 2 : 4)) + ($v < 75.0 ? 0 : 1);
        foreach (self::FREQUENCY as $row => $multipliers) {
            if ($aMinute <= (float) $row + 1e-9) {
                return $multipliers[$column];
            }
        }

        return 0.0;
    }

    private static function grip(string $coupling, float $v): float
    {
        return match ($coupling) {
            'fair' => $v < 75.0 ? 0.95 : 1.0,
            'poor' => 0.9,
            default => 1.0,
        };
    }
}
