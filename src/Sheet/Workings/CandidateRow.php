<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Workings;

/** A candidate whose effect can be worked out. */
final readonly class CandidateRow
{
    public function __construct(
        public string $id,
        public string $what,
    ) {
    }
}
