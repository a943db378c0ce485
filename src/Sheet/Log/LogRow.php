<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Log;

final readonly class LogRow
{
    /** @param string $what happened, in a sentence */
    public function __construct(
        public string $id,
        public string $at,
        public string $by,
        public string $what,
    ) {
    }
}
