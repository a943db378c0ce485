<?php

declare(strict_types=1);

namespace Lustrum\Core\Heap;

/** Where something lies beside a run. */
enum Lies: string
{
    case During = 'during';
    case After = 'after';
    case Before = 'before';
    case Nowhere = 'nowhere';
    /** Nobody knows when it was taken. */
    case Untold = 'untold';
}
