<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Workings;

/** A run that has not ended, with a channel of it that can be forecast. */
final readonly class OpenRun
{
    public function __construct(
        public string $run,
        public string $channel,
        public string $words,
        public string $unit,
    ) {
    }
}
