<?php

declare(strict_types=1);

namespace Lustrum\Core\Run;

/** How hard one try was beside another. */
enum Hardness: string
{
    /** On every factor that has a harder end, and the rest is the same. */
    case AtLeast = 'atLeast';
    case Milder = 'milder';
    /** Another method, another level of what has no harder end, or one that nobody knows: it may be neither. */
    case Apart = 'apart';
}
