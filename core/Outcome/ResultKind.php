<?php

declare(strict_types=1);

namespace Lustrum\Core\Outcome;

/** What a recorded result says: a value, a bound, a plain held or failed, or nothing about the design. */
enum ResultKind: string
{
    case Equal = 'equal';
    /** Ended before the event: the true value is at least this. */
    case AtLeast = 'atLeast';
    case AtMost = 'atMost';
    case Held = 'held';
    case Failed = 'failed';
    /** Lost in handling: counts as made, says nothing of the design. */
    case Lost = 'lost';

    /** Is it a value, or a bound of one? */
    public function hasValue(): bool
    {
        return $this === self::Equal || $this->isBound();
    }

    public function isBound(): bool
    {
        return $this === self::AtLeast || $this === self::AtMost;
    }
}
