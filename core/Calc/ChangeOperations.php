<?php

declare(strict_types=1);

namespace Lustrum\Core\Calc;

use Lustrum\Core\Alike\Looks;
use Lustrum\Core\Change\JudgeChange;
use Lustrum\Core\Statistics\Compare;

final class ChangeOperations implements OperationGroup
{
    public static function operations(): array
    {
        return [
            new Operation('change.verdict', 'What came of a change: expected difference against what was seen.',
                [
                    'expected' => 'difference that was expected', 'before?' => 'numbers', 'after?' => 'numbers',
                    'margin?' => 'within which it counts as unchanged', 'confidence?' => '0.95',
                    'looks?' => 'how often it was looked at, 1', 'prior?' => PriorInput::SHAPE,
                ],
                [
                    'verdict' => 'fixed, partly, better, noEffect, worse, cannotTell, nobodyLooked',
                    'difference' => 'estimate, low, high of after − before; null where one side is empty',
                    'within' => 'low, high at 2·confidence − 1: what it lies within', 'known' => 'was what is known used? only with prior',
                ],
                static function (Input $in): array {
                    $before = $in->has('before') ? $in->numbers('before') : [];
                    $after = $in->has('after') ? $in->numbers('after') : [];
                    $confidence = Looks::confidence($in->confidence(), $in->whole('looks', 1));
                    $repeats = PriorInput::read($in)->on(false, false);
                    $found = $before === [] || $after === [] ? null : Compare::independent($before, $after, $confidence, $repeats);
                    $within = $found === null ? null : Compare::independent($before, $after, 2 * $confidence - 1, $repeats)->difference;
                    $verdict = JudgeChange::seen(
                        $in->number('expected'), $found?->difference, $in->numberOrNull('margin'), $within,
                    );

                    return PriorInput::said([
                        'verdict' => $verdict->value, 'difference' => $found?->difference,
                        'within' => ['low' => $within?->low, 'high' => $within?->high],
                        'known' => $in->has('prior') ? $found?->isKnown === true : null,
                    ]);
                }),
        ];
    }
}
