<?php

declare(strict_types=1);

namespace Lustrum\Core\Alike;

/** Do effects add up, or do they multiply? */
enum Scale: string
{
    case Add = 'add';
    case Ratio = 'ratio';
}
