<?php

declare(strict_types=1);

namespace Lustrum\Domain\Finding;

/** How grave a failure is, mildest first. */
enum Severity: string
{
    case Cosmetic = 'cosmetic';
    case Minor = 'minor';
    case Major = 'major';
    case Dangerous = 'dangerous';

    public function rank(): int
    {
        return (int) array_search($this, self::cases(), true);
    }
}
