<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

/** Does an expected range meet a limit? */
enum Meets: string
{
    /** All of it. */
    case Would = 'would';
    /** Part of it. */
    case Could = 'could';
    case WouldNot = 'wouldNot';
    /** Nothing was measured, or nothing is wanted. */
    case Unknown = 'unknown';
}
