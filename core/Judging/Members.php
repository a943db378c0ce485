<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

/** On which members of a family that stays a requirement must hold. */
enum Members: string
{
    case Each = 'each';
    /** On the one that is said to be the worst; where nobody said, on the one that turned out so. */
    case Worst = 'worst';
    case Chosen = 'chosen';
}
