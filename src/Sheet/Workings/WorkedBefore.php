<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Workings;

/** What was worked out before a run, and how it came out. */
final readonly class WorkedBefore
{
    /** @param string $came in a sentence; empty: it was not read yet */
    public function __construct(
        public string $id,
        public string $title,
        public string $channel,
        public string $answer,
        public string $came,
    ) {
    }
}
