<?php

declare(strict_types=1);

namespace Lustrum\Core\Calc;

use Lustrum\Core\Curve\Samples;
use Lustrum\Core\Footing\Adjusted;
use Lustrum\Core\Footing\BreakEven;
use Lustrum\Core\Footing\Context;
use Lustrum\Core\Footing\Control;
use Lustrum\Core\Footing\Difference;
use Lustrum\Core\Footing\Effect;
use Lustrum\Core\Footing\FootingCheck;
use Lustrum\Core\Footing\Instrument;
use Lustrum\Core\Footing\Level;
use Lustrum\Core\Footing\UnitPast;
use Lustrum\Core\InvalidInput;
use Lustrum\Core\Wording\FootingWords;

final class FootingOperations implements OperationGroup
{
    private const FIELDS = [
        'method', 'methodVersion', 'rig', 'instruments', 'operators', 'units', 'lots', 'firmware', 'settings', 'conditions', 'from', 'to',
        'runs', 'stoppedEarly', 'changes', 'about',
    ];

    public static function operations(): array
    {
        $context = implode(', ', self::FIELDS);

        return [
            new Operation('compare.footing', 'Do two groups of runs stand on the same footing?',
                [
                    'a' => $context, 'b' => $context, 'results?' => 'a and b: numbers',
                    'effect?' => 'condition, slope or exponential (from, to), at',
                ],
                [
                    'footing' => 'level, tilted, broken', 'differences' => 'list of what, a, b, weight, why', 'sentence' => 'in words',
                    'adjusted' => 'condition, at, a, b, difference: the means brought to one value of the condition',
                ],
                static function (Input $in): array {
                    [$a, $b] = [self::context($in->object('a')), self::context($in->object('b'))];
                    $check = FootingCheck::between($a, $b);

                    return [
                        'footing' => $check->footing->value,
                        'differences' => array_map(static fn (Difference $d): array => [
                            'what' => $d->what, 'a' => $d->a, 'b' => $d->b, 'weight' => $d->weight->value, 'why' => FootingWords::why($d),
                        ], $check->differences),
                        'sentence' => FootingWords::sentence($check->footing, $check->differences),
                        'adjusted' => $in->has('effect') ? self::adjusted($in, $a, $b) : null,
                    ];
                }),
            new Operation('compare.breakEven', 'Where a condition that nobody wrote down on one side would turn the answer.',
                [
                    'a' => 'values or course (t, y), condition', 'b' => 'the same; exactly one condition is null',
                    'effect' => 'kind (slope, exponential), slope', 'name?' => 'of the condition', 'unit?' => 'of the condition',
                ],
                [
                    'side' => 'whose condition is unknown', 'at' => 'where both are equal',
                    'below' => 'b against a below it: higher, lower',
                    'above' => '', 'low' => 'at, for the ends of the interval of the difference', 'high' => '', 'sentence' => 'in words',
                ],
                self::breakEven(...)),
            new Operation('compare.control',
                'Which factors changed together can be told apart, and the cheapest runs that would tell the rest.',
                [
                    'factors' => 'list of name, cost (a, b)', 'runs' => 'list of NAME: a or b', 'costPerRun?' => '0',
                ],
                [
                    'told' => 'names', 'entangled' => 'names', 'needed' => 'further runs', 'runs' => 'list of levels, cost',
                    'cost' => 'of these',
                ],
                self::control(...)),
        ];
    }

    private static function adjusted(Input $in, Context $a, Context $b): ?Adjusted
    {
        $effect = $in->object('effect');
        $effect->only(['condition', 'slope', 'exponential', 'at']);
        $results = $in->object('results');
        $results->only(['a', 'b']);
        $condition = $effect->text('condition');
        if ($effect->has('slope') === $effect->has('exponential')) {
            throw InvalidInput::because('An effect is either a slope or exponential.', $effect->at('slope'));
        }
        $course = $effect->has('exponential') ? $effect->object('exponential') : null;
        $course?->only(['from', 'to']);

        return Adjusted::of(
            $condition, $a->conditions[$condition] ?? new Level(), $b->conditions[$condition] ?? new Level(), $results->numbers('a'),
            $results->numbers('b'),
            $course === null
                ? Effect::slope($effect->number('slope'))
                : Effect::exponential($course->number('from'), $course->number('to')),
            $effect->numberOrNull('at'),
        );
    }

    /** @return array<string, mixed> */
    private static function breakEven(Input $in): array
    {
        [$a, $b, $effect] = [$in->object('a'), $in->object('b'), $in->object('effect')];
        $effect->only(['kind', 'slope']);
        foreach ([$a, $b] as $side) {
            $side->only(['values', 'course', 'condition']);
        }
        $isCourse = match ($effect->text('kind')) {
            'slope' => false,
            'exponential' => true,
            default => throw InvalidInput::because('An effect is slope or exponential.', $effect->at('kind')),
        };
        $turn = $isCourse
            ? BreakEven::course(self::course($a), $a->numberOrNull('condition'), self::course($b), $b->numberOrNull('condition'))
            : BreakEven::slope(
                $a->numbers('values'), $a->numberOrNull('condition'), $b->numbers('values'), $b->numberOrNull('condition'),
                $effect->number('slope'),
            );

        return get_object_vars($turn) + ['sentence' => FootingWords::turn($turn, $in->text('name', ''), $in->text('unit', ''))];
    }

    private static function course(Input $side): Samples
    {
        $course = $side->object('course');
        $course->only(['t', 'y']);

        return Samples::of($course->numbers('t'), $course->numbers('y'));
    }

    /** @return array<string, mixed> */
    private static function control(Input $in): array
    {
        $costs = $runs = [];
        foreach ($in->objects('factors') as $factor) {
            $factor->only(['name', 'cost']);
            $name = $factor->text('name');
            if (isset($costs[$name])) {
                throw InvalidInput::because('This name is there twice.', $factor->at('name'));
            }
            $cost = $factor->has('cost') ? $factor->object('cost') : null;
            $cost?->only(['a', 'b']);
            $costs[$name] = ['a' => $cost?->number('a', 0.0) ?? 0.0, 'b' => $cost?->number('b', 0.0) ?? 0.0];
        }
        foreach ($in->objects('runs') as $run) {
            $names = array_map(strval(...), array_keys($costs));
            $run->only($names);
            $levels = [];
            foreach ($names as $name) {
                $levels[$name] = $run->text($name);
                if ($levels[$name] !== 'a' && $levels[$name] !== 'b') {
                    throw InvalidInput::because('Each run names a or b for each factor.', $run->at($name));
                }
            }
            $runs[] = $levels;
        }

        return get_object_vars(Control::of($costs, $runs, $in->number('costPerRun', 0.0)));
    }

    private static function context(Input $in): Context
    {
        $in->only(self::FIELDS);

        return new Context(
            $in->text('method'), $in->whole('methodVersion', 1), $in->textOrNull('rig'),
            array_map(
                static fn (Input $i): Instrument => new Instrument(
                    $i->text('channel'), $i->text('name'), $i->text('unit'), $i->numberOrNull('resolution'),
                ),
                $in->objects('instruments'),
            ),
            $in->texts('operators'),
            array_map(
                static fn (Input $u): UnitPast => new UnitPast(
                    $u->text('serial'), $u->whole('earlierRuns', 0), $u->whole('earlierFailures', 0), $u->text('state', ''),
                ),
                $in->objects('units'),
            ),
            $in->textLists('lots'), $in->texts('firmware'),
            array_map(self::level(...), $in->map('settings')), array_map(self::level(...), $in->map('conditions')),
            $in->textOrNull('from'), $in->textOrNull('to'), $in->whole('runs', 0), $in->whole('stoppedEarly', 0),
            array_map(
                static fn (Input $c): array => [
                    'what' => $c->text('what'), 'class' => $c->text('class', ''), 'bears' => $c->flag('bears', true),
                ],
                $in->objects('changes'),
            ),
            $in->texts('about'),
        );
    }

    private static function level(Input $in): Level
    {
        $in->only(['numbers', 'words', 'unknown', 'tolerance', 'unit']);

        return new Level(
            $in->has('numbers') ? $in->numbers('numbers') : [], $in->texts('words'), $in->whole('unknown', 0),
            $in->numberOrNull('tolerance'), $in->text('unit', ''),
        );
    }
}
