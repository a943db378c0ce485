<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

/** What repeats are for; said before the first run. */
enum RepeatPurpose: string
{
    case RuleOutLuck = 'ruleOutLuck';
    case Estimate = 'estimate';
    /** Try until it holds: marked 'stopped at first success' wherever it is quoted. */
    case UntilItHolds = 'untilItHolds';
}
