<?php

declare(strict_types=1);

namespace Lustrum\Core\Change;

/** What came of a change. */
enum ChangeVerdict: string
{
    /** Wholly above half of what was expected, and that lies within or below. */
    case Fixed = 'fixed';
    /** Shown, and wholly short of what was expected. */
    case Partly = 'partly';
    /** Shown; how much of it cannot be told yet. */
    case Better = 'better';
    /** Less than half of what was expected, on both sides of nought. */
    case NoEffect = 'noEffect';
    case Worse = 'worse';
    /** It was looked at, and none of these can be said: 'no effect' is not 'not shown'. */
    case CannotTell = 'cannotTell';
    /** No run on one of the sides. */
    case NobodyLooked = 'nobodyLooked';
}
