<?php

declare(strict_types=1);

namespace Lustrum\Core\Footing;

/** One way in which two contexts differ, with a plain sentence. */
final readonly class Difference
{
    public function __construct(
        public string $what,
        public string $a,
        public string $b,
        public Footing $weight,
        public string $why,
    ) {
    }
}
