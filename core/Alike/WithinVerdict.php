<?php

declare(strict_types=1);

namespace Lustrum\Core\Alike;

/** How the second side stands to the first, level by level. */
enum WithinVerdict: string
{
    case Higher = 'higher';
    case Lower = 'lower';
    case Indistinct = 'indistinct';
    /** A single run, or a single pair: there is no interval. */
    case Single = 'single';
    /** The difference hangs on the level, and has not even one sign: no single number says it. */
    case ByCell = 'byCell';
}
