<?php

declare(strict_types=1);

namespace Lustrum\Core\Belief;

/** What a finding says of something that is believed. */
enum Weight: string
{
    case For = 'for';
    case Against = 'against';
    /** It was looked at, and nothing follows. */
    case Unclear = 'unclear';
}
