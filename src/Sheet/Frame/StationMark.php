<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Frame;

/** Something waits at a station. */
final readonly class StationMark
{
    public function __construct(
        public string $station,
        public string $why,
    ) {
    }
}
