<?php

declare(strict_types=1);

namespace Lustrum\Core\Statistics;

/** How the second of two samples stands to the first. */
enum Verdict: string
{
    case Higher = 'higher';
    case Lower = 'lower';
    /** The interval of the difference holds nought. */
    case Indistinct = 'indistinct';
    /** One side is a single run: there is no interval. */
    case Single = 'single';
}
