<?php

declare(strict_types=1);

namespace Lustrum\Core\Change;

/** What came of a change. */
enum ChangeVerdict: string
{
    case Fixed = 'fixed';
    case Partly = 'partly';
    case NoEffect = 'noEffect';
    case Worse = 'worse';
    case NobodyLooked = 'nobodyLooked';
}
