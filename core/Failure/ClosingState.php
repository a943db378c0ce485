<?php

declare(strict_types=1);

namespace Lustrum\Core\Failure;

/** How far a failure is closed. */
enum ClosingState: string
{
    case Open = 'open';
    /** It held where it had failed, and not yet often enough. */
    case Holding = 'holding';
    case Closed = 'closed';
    /** It had been closed, and happened again. */
    case Reopened = 'reopened';
}
