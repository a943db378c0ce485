<?php

declare(strict_types=1);

namespace Lustrum\Core\Plan;

/** In which order runs are made. */
enum Order: string
{
    case AsGiven = 'asGiven';
    /** Chance decides over all runs: time and wear spread over every level. */
    case Random = 'random';
    /** Each repeat is a block that holds every level once, in an order of its own. */
    case Blocks = 'blocks';
}
