<?php

declare(strict_types=1);

namespace Lustrum\Core\Calc;

use Lustrum\Core\Quantity\Quantity;
use Lustrum\Core\Quantity\SlipCheck;

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
}
