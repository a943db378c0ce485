<?php

declare(strict_types=1);

namespace Lustrum\Domain\Revision;

use Lustrum\Shared\Identifier;

/** Gathers what was changed on an article between runs into a build of its own. */
final readonly class GatherInput
{
    /** @param string $id of the build that is made */
    public function __construct(
        #[Identifier]
        public string $id,
    ) {
    }
}
