<?php

declare(strict_types=1);

namespace Lustrum\Core\Calc;

use Lustrum\Core\Footing\Context;
use Lustrum\Core\Footing\Difference;
use Lustrum\Core\Footing\FootingCheck;
use Lustrum\Core\Footing\Instrument;
use Lustrum\Core\Footing\Level;
use Lustrum\Core\Footing\UnitPast;
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
                ['a' => $context, 'b' => $context],
                ['footing' => 'level, tilted, broken', 'differences' => 'list of what, a, b, weight, why', 'sentence' => 'in words'],
                static function (Input $in): array {
                    $check = FootingCheck::between(self::context($in->object('a')), self::context($in->object('b')));

                    return [
                        'footing' => $check->footing->value,
                        'differences' => array_map(static fn (Difference $d): array => [
                            'what' => $d->what, 'a' => $d->a, 'b' => $d->b, 'weight' => $d->weight->value, 'why' => FootingWords::why($d),
                        ], $check->differences),
                        'sentence' => FootingWords::sentence($check->footing, $check->differences),
                    ];
                }),
        ];
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
                    $u->text('serial'), $u->whole('earlierRuns', 0), $u->whole('earlierFailures', 0),
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
