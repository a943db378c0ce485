<?php

declare(strict_types=1);

namespace Lustrum\Core\Evidence;

/** How the values of a metric spread: evenly, by a share of themselves, or as counts do. */
enum ValueScale: string
{
    case Add = 'add';
    /** Effects multiply: what is every article's goes by logarithms. */
    case Ratio = 'ratio';
    /** Whole numbers of events in runs of equal length. */
    case Count = 'count';
}
