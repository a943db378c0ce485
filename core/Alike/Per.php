<?php

declare(strict_types=1);

namespace Lustrum\Core\Alike;

/** Over what an interval goes: what was drawn anew each time. */
enum Per: string
{
    case Run = 'run';
    case Article = 'article';
    case Block = 'block';
}
