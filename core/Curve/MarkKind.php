<?php

declare(strict_types=1);

namespace Lustrum\Core\Curve;

/** What is read off a course. */
enum MarkKind: string
{
    /** When it first reaches a value. */
    case First = 'first';
    /** When it last leaves it. */
    case Last = 'last';
    case Peak = 'peak';
    case Lowest = 'lowest';
    /** Its mean over time, between two moments. */
    case Mean = 'mean';
    /** How long from a common start to a value, in common surroundings. */
    case Standard = 'standard';

    /** Is it a time, rather than a value? */
    public function isTime(): bool
    {
        return in_array($this, [self::First, self::Last, self::Standard], true);
    }
}
