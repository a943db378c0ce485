<?php

declare(strict_types=1);

namespace Lustrum\Core\Calc;

use Lustrum\Core\Quantity\Quantity;
use Lustrum\Core\Quantity\SlipCheck;
use Lustrum\Core\Quantity\Typed;

final class QuantityOperations implements OperationGroup
{
    public static function operations(): array
    {
        return [
            new Operation('quantity.parse', 'Reads what a person typed as a quantity.',
                ['text' => 'what was typed', 'dimension?' => 'name of the dimension wanted'],
                [
                    'value' => 'number in the unit', 'unit' => 'symbol as typed', 'dimension' => 'name',
                    'resolution' => 'step of the last digit', 'si' => 'value and unit in the SI',
                ],
                static function (Input $in): array {
                    $q = Quantity::typed($in->text('text'), $in->textOrNull('dimension'));

                    return [
                        'value' => $q->value, 'unit' => $q->unit->symbol, 'dimension' => $q->unit->measures(),
                        'resolution' => $q->resolution, 'si' => ['value' => $q->si(), 'unit' => $q->unit->dimension->siUnit()],
                    ];
                }),
            new Operation('quantity.read', 'Reads a value as people have it: ± and about, ranges, bounds, unknown, a forgotten unit.',
                ['text' => 'what was typed', 'dimension?' => 'name of the dimension wanted'],
                [
                    'kind' => 'equal, atLeast, atMost, unknown, unitUnknown', 'value' => 'of a range its middle',
                    'unit' => 'symbol as typed',
                    'dimension' => 'name', 'resolution' => 'step of the last digit', 'si' => 'value and unit in the SI',
                    'u' => 'standard uncertainty; null where nobody said', 'low' => 'end of a bound or range', 'high' => '',
                ],
                self::read(...)),
            new Operation('quantity.convert', 'The same quantity in another unit of its dimension.',
                ['value' => 'number', 'unit' => 'symbol', 'to' => 'symbol', 'difference?' => 'true for a difference of temperatures'],
                ['value' => 'number', 'unit' => 'symbol'],
                static function (Input $in): array {
                    $q = Quantity::of($in->number('value'), $in->text('unit'));

                    return [
                        'value' => $in->flag('difference') ? $q->differenceTo($in->text('to')) : $q->to($in->text('to'))->value,
                        'unit' => $in->text('to'),
                    ];
                }),
            new Operation('quantity.slip', 'Does a new reading look typed in the wrong unit or with a slipped decimal point?',
                ['candidate' => 'value and unit', 'previous' => 'numbers in that unit'],
                [
                    'suspect' => 'true or false', 'factor' => 'what would correct it', 'looksLike' => 'unit or factor',
                    'corrected' => 'value in the unit', 'reason' => 'a sentence',
                ],
                static function (Input $in): array {
                    $candidate = $in->object('candidate');
                    $candidate->only(['value', 'unit']);
                    $slip = SlipCheck::check(Quantity::of($candidate->number('value'), $candidate->text('unit')), $in->numbers('previous'));

                    return get_object_vars($slip);
                }),
        ];
    }

    /** @return array<string, mixed> */
    private static function read(Input $in): array
    {
        $typed = Typed::read($in->text('text'), $in->textOrNull('dimension'));
        $unit = $typed->unit;

        return [
            'kind' => $typed->kind, 'value' => $typed->value, 'unit' => $unit?->symbol, 'dimension' => $unit?->measures(),
            'resolution' => $typed->resolution,
            'si' => $unit === null ? null : ['value' => $typed->si(), 'unit' => $unit->dimension->siUnit()],
            'u' => $typed->u, 'low' => $typed->low, 'high' => $typed->high,
        ];
    }
}
