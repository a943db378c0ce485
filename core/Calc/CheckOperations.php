<?php

declare(strict_types=1);

namespace Lustrum\Core\Calc;

use Lustrum\Core\Check\Claims;
use Lustrum\Core\Check\FitCheck;
use Lustrum\Core\Check\Implied;
use Lustrum\Core\Check\InstrumentFit;
use Lustrum\Core\Check\Known;
use Lustrum\Core\Check\Rehearsal;
use Lustrum\Core\Check\Relations;
use Lustrum\Core\Check\RelationSeen;
use Lustrum\Core\Check\Share;
use Lustrum\Core\CoreException;
use Lustrum\Core\Quantity\Quantity;
use Lustrum\Core\Setting\NextSetting;
use Lustrum\Core\Setting\SettingResult;
use Lustrum\Core\Setting\SettingScale;
use Lustrum\Core\Wording\CheckWords;

final class CheckOperations implements OperationGroup
{
    public static function operations(): array
    {
        return [
            new Operation('check.relations', 'Do the readings of one run agree with each other?',
                ['readings' => 'list of what, value, unit, u?, resolution?'],
                [
                    'relations' => 'list of relation, implied (what, value, unit, from), z, contradicts', 'contradictions' => 'names',
                    'standard' => 'series, value, nearest, unit: the resistor to be bought',
                ],
                self::relations(...)),
            new Operation('check.instrument', 'Does an instrument fit the event that it is to see?',
                ['instrument' => 'lag?, rate?, resolution?: value, unit', 'event' => 'duration?, difference?: value, unit'],
                ['fit' => 'true, false, or null where something is not known', 'checks' => 'list of what, value, needed, fit, why'],
                self::instrument(...)),
            new Operation('check.rehearsal', 'How much of the real thing does a rehearsal carry?',
                ['use' => 'list of what, value, unit', 'rehearsal' => 'the same'],
                [
                    'shares' => 'list of what, share, lacking (value, unit)', 'missing' => 'not rehearsed',
                    'short' => 'rehearsed with less',
                    'least' => 'what, share', 'full' => 'true or false', 'sentence' => 'in words',
                ],
                self::rehearsal(...)),
            new Operation('check.claims', 'Comparative words that no number stands behind.',
                ['text' => 'what somebody wrote'], ['claims' => 'list of word, at (characters before it)'],
                static fn (Input $in): array => ['claims' => Claims::in($in->text('text'))]),
            new Operation('setting.next', 'Which setting to try next, while it is being found.',
                [
                    'tried' => 'list of value, result (low, high, good)', 'range' => 'low, high', 'scale?' => 'linear, log, area',
                    'step?' => 'between settings that there are',
                ],
                [
                    'value' => 'null where there is none to try', 'reason' => 'end, middle, good, beyond, exhausted',
                    'low' => 'highest that was too low', 'high' => 'lowest that was too high',
                ],
                self::next(...)),
        ];
    }

    /** @return array<string, mixed> */
    private static function relations(Input $in): array
    {
        $readings = [];
        foreach ($in->objects('readings') as $reading) {
            $reading->only(['what', 'value', 'unit', 'u', 'resolution']);
            $read = Quantity::of($reading->number('value'), $reading->text('unit'), $reading->numberOrNull('resolution'));
            try {
                $readings[] = Known::read($reading->text('what'), $read, $reading->numberOrNull('u'));
            } catch (CoreException $e) {
                throw $e->under(rtrim($reading->at(''), '/'));
            }
        }
        $relations = Relations::of($readings);

        return [
            'relations' => array_map(static fn (RelationSeen $r): array => [
                'relation' => $r->relation,
                'implied' => array_map(static fn (Implied $i): array => get_object_vars($i), $r->implied),
                'z' => $r->z, 'contradicts' => $r->contradicts,
            ], $relations->relations),
            'contradictions' => $relations->contradictions(),
            'standard' => $relations->standard === null ? null : get_object_vars($relations->standard),
        ];
    }

    /** @return array<string, mixed> */
    private static function instrument(Input $in): array
    {
        [$instrument, $event] = [$in->object('instrument'), $in->object('event')];
        $instrument->only(['lag', 'rate', 'resolution']);
        $event->only(['duration', 'difference']);
        $fit = InstrumentFit::of(
            self::quantity($instrument, 'lag'), self::quantity($instrument, 'rate'), self::quantity($instrument, 'resolution'),
            self::quantity($event, 'duration'), self::quantity($event, 'difference'),
        );

        return [
            'fit' => $fit->fit,
            'checks' => array_map(static fn (FitCheck $c): array => get_object_vars($c) + ['why' => CheckWords::fit($c)], $fit->checks),
        ];
    }

    /** @return array<string, mixed> */
    private static function rehearsal(Input $in): array
    {
        $rehearsal = Rehearsal::of(self::named($in, 'use'), self::named($in, 'rehearsal'));
        $least = $rehearsal->least();

        return [
            'shares' => array_map(static fn (Share $s): array => [
                'what' => $s->what, 'share' => $s->share, 'lacking' => ['value' => $s->lacking, 'unit' => $s->unit],
            ], $rehearsal->shares),
            'missing' => $rehearsal->missing, 'short' => $rehearsal->short(),
            'least' => $least === null ? null : ['what' => $least->what, 'share' => $least->share],
            'full' => $rehearsal->isFull(), 'sentence' => CheckWords::rehearsal($rehearsal),
        ];
    }

    /** @return array<string, mixed> */
    private static function next(Input $in): array
    {
        $range = $in->object('range');
        $range->only(['low', 'high']);
        $tried = [];
        foreach ($in->objects('tried') as $one) {
            $one->only(['value', 'result']);
            $tried[] = [$one->number('value'), $one->one('result', SettingResult::class)];
        }

        return get_object_vars(NextSetting::of(
            $tried, $range->number('low'), $range->number('high'), $in->one('scale', SettingScale::class, SettingScale::Linear),
            $in->numberOrNull('step'),
        ));
    }

    private static function quantity(Input $in, string $name): ?Quantity
    {
        if (!$in->has($name)) {
            return null;
        }
        $quantity = $in->object($name);
        $quantity->only(['value', 'unit']);

        return Quantity::of($quantity->number('value'), $quantity->text('unit'));
    }

    /** @return array<string, Quantity> */
    private static function named(Input $in, string $list): array
    {
        $named = [];
        foreach ($in->objects($list) as $one) {
            $one->only(['what', 'value', 'unit']);
            $named[] = [$one->text('what'), Quantity::of($one->number('value'), $one->text('unit'))];
        }

        return Rehearsal::named($named, $list);
    }
}
