<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

/** Whether a build does for one of the uses of its device. */
enum UseFit: string
{
    case Fits = 'fits';
    /** What it fails has an answer that somebody proposed. */
    case WithChanges = 'withChanges';
    case DoesNot = 'doesNot';
    case NotKnown = 'notKnown';
}
