<?php

declare(strict_types=1);

namespace Lustrum\Domain\Revision;

/** Whether a part is meant to stay; what is not counts in no sum of the product. */
enum PartStanding: string
{
    case Stays = 'stays';
    /** It does for now, and something better must come. */
    case ForNow = 'forNow';
    /** It is there for a trial, and never will be in the product. */
    case ForTrying = 'forTrying';
}
