<?php

declare(strict_types=1);

namespace Lustrum\Domain\Finding;

/** What a failure would lead to, mildest first; how hard it was tried is its severity (Core\Run\Severity). */
enum Consequence: string
{
    case Minor = 'minor';
    case Major = 'major';
    case Dangerous = 'dangerous';
}
