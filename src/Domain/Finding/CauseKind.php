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
    case Use = 'use';
}
