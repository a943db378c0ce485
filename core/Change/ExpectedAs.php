<?php

declare(strict_types=1);

namespace Lustrum\Core\Change;

/** How an expectation is said. */
enum ExpectedAs: string
{
    /** A difference, in the unit of the metric. */
    case Add = 'add';
    /** A change in per cent of what it was. */
    case Percent = 'percent';
    /** The value itself. */
    case Value = 'value';
    /** A direction alone. */
    case More = 'more';
    case Less = 'less';
    case Unchanged = 'unchanged';

    public function hasNumbers(): bool
    {
        return in_array($this, [self::Add, self::Percent, self::Value], true);
    }
}
