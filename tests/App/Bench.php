<?php

declare(strict_types=1);

namespace Lustrum\Tests\App;

/** Identifiers of what a test works with. */
final readonly class Bench
{
    public function __construct(
        public string $device,
        public string $requirement,
        public string $method,
        public string $a,
        public string $b,
        public string $unitA,
        public string $unitB,
    ) {
    }
}
