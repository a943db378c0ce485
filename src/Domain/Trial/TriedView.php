<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

/** Where a try began. */
final readonly class TriedView
{
    public function __construct(
        public string $device,
        public string $build,
        public string $letter,
        public string $run,
    ) {
    }
}
