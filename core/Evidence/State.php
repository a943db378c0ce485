<?php

declare(strict_types=1);

namespace Lustrum\Core\Evidence;

/** How far a requirement is shown for a revision. */
enum State: string
{
    case None = 'none';
    /** Under three runs. */
    case Thin = 'thin';
    /** The estimate is on the right side, its bound is not. */
    case Leaning = 'leaning';
    case Shown = 'shown';
    /** The estimate is on the wrong side. */
    case Against = 'against';
}
