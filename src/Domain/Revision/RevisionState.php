<?php

declare(strict_types=1);

namespace Lustrum\Domain\Revision;

enum RevisionState: string
{
    case Building = 'building';
    case Built = 'built';
    /** A branch that is not followed; its reason stays. */
    case Abandoned = 'abandoned';
}
