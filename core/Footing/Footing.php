<?php

declare(strict_types=1);

namespace Lustrum\Core\Footing;

/** Do two groups of runs stand on the same footing? */
enum Footing: string
{
    case Level = 'level';
    /** They can be compared, with the difference in mind. */
    case Tilted = 'tilted';
    /** The comparison does not say what it seems to say. */
    case Broken = 'broken';
}
