<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Run;

/** One number of what was marked. */
final readonly class TallyResult
{
    /**
     * @param string       $what    count, held, share or every
     * @param string       $reading as it would be typed as a reading
     * @param list<string> $units   of channels that it can be a reading of
     */
    public function __construct(
        public string $what,
        public string $reading,
        public array $units,
    ) {
    }
}
