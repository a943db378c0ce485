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
                    'looks?' => 'how often it was looked at, 1',
                ],
                [
                    'verdict' => 'fixed, partly, better, noEffect, worse, cannotTell, nobodyLooked',
                    'difference' => 'estimate, low, high of after − before; null where one side is empty',
                ],
                static function (Input $in): array {
                    $before = $in->has('before') ? $in->numbers('before') : [];
                    $after = $in->has('after') ? $in->numbers('after') : [];
                    $confidence = Looks::confidence($in->confidence(), $in->whole('looks', 1));
                    $difference = $before === [] || $after === [] ? null : Compare::independent($before, $after, $confidence)->difference;
                    $verdict = JudgeChange::seen($in->number('expected'), $difference, $in->numberOrNull('margin'));

                    return ['verdict' => $verdict->value, 'difference' => $difference];
                }),
        ];
    }
}
