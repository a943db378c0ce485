<?php

declare(strict_types=1);

namespace Lustrum\Action\Find;

/** One failure of a mode. */
final readonly class CalledRow
{
    public function __construct(
        public string $id,
        public string $build,
        public string $mode,
        public string $place,
        public string $day,
        public string $note,
    ) {
    }
}
