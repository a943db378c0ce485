<?php

declare(strict_types=1);

namespace Lustrum\Core\Heap;

/** A run on the line of time; moments are seconds since 1970, in UTC. */
final readonly class Span
{
    public function __construct(
        public string $run,
        public float $from,
        public float $to,
    ) {
    }
}
