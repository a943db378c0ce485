<?php

declare(strict_types=1);

namespace Lustrum\Core\Failure;

/** Where a failure stands. */
enum Standing: string
{
    case Open = 'open';
    /** A fix was made, but nobody has tried it where the failure happened. */
    case FixUntried = 'fixUntried';
    case Closed = 'closed';
    /** It happened again on a revision that carries the fix. */
    case CameBack = 'cameBack';
}
