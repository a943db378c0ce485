<?php

declare(strict_types=1);

namespace Lustrum\Core\Rig;

/** What happens to an article between runs, and leaves nothing that was verified before as it was. */
enum HappeningKind: string
{
    case Moved = 'moved';
    case Transported = 'transported';
    case Reassembled = 'reassembled';
    case Swapped = 'swapped';
    case Dropped = 'dropped';
}
