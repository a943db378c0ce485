<?php

declare(strict_types=1);

namespace Lustrum\Core\Run;

/** How a run ended. */
enum RunOutcome: string
{
    case Held = 'held';
    case Failed = 'failed';
    /** Ended before the event or the end point: its value is a bound. */
    case StoppedEarly = 'stoppedEarly';
    /** The article was lost in handling; says nothing of the design. */
    case Lost = 'lost';
    /** Not valid, with a reason; keeps its number. */
    case Void = 'void';
}
