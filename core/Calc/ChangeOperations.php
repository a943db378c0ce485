<?php

declare(strict_types=1);

namespace Lustrum\Core\Calc;

use Lustrum\Core\Change\JudgeChange;
use Lustrum\Core\Statistics\Compare;

final class ChangeOperations implements OperationGroup
{
    public static function operations(): array
    {
        return [
            new Operation('change.verdict', 'What came of a change: expected difference against what was seen.',
                ['expected' => 'difference that was expected', 'before?' => 'numbers', 'after?' => 'numbers', 'confidence?' => '0.95'],
                ['verdict' => 'fixed, partly, noEffect, worse, nobodyLooked'],
                static fn (Input $in): array => ['verdict' => JudgeChange::seen(
                    $in->number('expected'),
                    $in->has('before') && $in->has('after') && $in->numbers('before') !== [] && $in->numbers('after') !== []
                        ? Compare::independent($in->numbers('before'), $in->numbers('after'), $in->confidence()) : null,
                )->value]),
        ];
    }
}
