<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Weigh;

use Lustrum\Core\Footing\Footing;

final readonly class FootingDifference
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
