<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

/** Which of two, one after the other, somebody prefers. */
enum Preferred: string
{
    case This = 'this';
    case Before = 'before';
    case Neither = 'neither';
}
