<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Weigh;

/** A difference of which a named person said that it bears on nothing of a metric. */
final readonly class UnrelatedRow
{
    /** @param string $id of what was said, to take it back */
    public function __construct(
        public string $id,
        public string $sentence,
    ) {
    }
}
