<?php

declare(strict_types=1);

namespace Lustrum\Domain\Finding;

/** Where a file stands on its way from the upload to the screen. */
enum FileState: string
{
    case Waiting = 'waiting';
    case Ready = 'ready';
    case Broken = 'broken';
    /** It stays where it lies, and is known here by its hash. */
    case Away = 'away';
}
