<?php

declare(strict_types=1);

namespace Lustrum\Storage;

/** Whether the disk has space left. */
enum SpaceLeft: string
{
    case Enough = 'enough';
    /** A few clips more. */
    case Little = 'little';
    case None = 'none';
}
