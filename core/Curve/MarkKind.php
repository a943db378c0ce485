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

    /** Is it a moment, rather than a value? */
    public function isTime(): bool
    {
        return $this === self::First || $this === self::Last;
    }
}
