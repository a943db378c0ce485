<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Try;

/** A trial whose next run can be made now, in a sentence. */
final readonly class ReadyRow
{
    public function __construct(
        public string $trial,
        public string $sentence,
    ) {
    }
}
