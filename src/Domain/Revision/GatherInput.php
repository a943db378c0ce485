<?php

declare(strict_types=1);

namespace Lustrum\Domain\Revision;

/** Gathers what was changed on an article between runs into a build of its own. */
final readonly class GatherInput
{
    /** @param string $id of the build that is made */
    public function __construct(
        // Who may not write here is told so before what is wrong with it.
        public string $id = '',
    ) {
    }
}
