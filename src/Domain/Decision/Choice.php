<?php

declare(strict_types=1);

namespace Lustrum\Domain\Decision;

enum Choice: string
{
    case Open = 'open';
    /** Goes into the next build. */
    case In = 'in';
    case Wait = 'wait';
    case Drop = 'drop';
}
