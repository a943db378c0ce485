<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Find;

/** One mode of failure over all builds: where it gathers and where it vanishes. */
final readonly class ModeRow
{
    /** @param list<ModeCount> $counts one for each build, oldest first */
    public function __construct(
        public string $mode,
        public string $place,
        public array $counts,
        public int $total,
        public string $sentence,
    ) {
    }
}
