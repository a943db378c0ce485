<?php

declare(strict_types=1);

namespace Lustrum\Domain\Finding;

/** Where a cause lies; set-up, method and use are looked at before the design is blamed. */
enum CauseKind: string
{
    case Design = 'design';
    case Build = 'build';
    case SetUp = 'setUp';
    case Method = 'method';
    case Handling = 'handling';
    case Use = 'use';

    /** Does it lie in how it was made or tried rather than in the design? Confirmed, it sets the run aside. */
    public function setsAside(): bool
    {
        return $this !== self::Design && $this !== self::Use;
    }
}
