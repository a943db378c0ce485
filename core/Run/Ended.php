<?php

declare(strict_types=1);

namespace Lustrum\Core\Run;

/** How a run came to its end; it decides what readings that wait for an event are. */
enum Ended: string
{
    /** What it waited for came: such a reading is a value. */
    case Event = 'event';
    /** It reached its end point, and what it waited for had not come: such a reading is a bound. */
    case EndPoint = 'endPoint';
    /** Stopped by something that was set beforehand, or that had nothing to do with what was coming: a bound. */
    case Stopped = 'stopped';
    /** Stopped because the event was felt coming: a value, and marked so. */
    case Felt = 'felt';

    public function leavesBound(): bool
    {
        return $this === self::EndPoint || $this === self::Stopped;
    }
}
