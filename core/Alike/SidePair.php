<?php

declare(strict_types=1);

namespace Lustrum\Core\Alike;

use Lustrum\Core\Statistics\Interval;

/** Two of several sides; the difference is b − a. Holm is sharper than the interval: `told` decides. */
final readonly class SidePair
{
    public function __construct(
        public string $a,
        public string $b,
        public Interval $difference,
        public ?float $p,
        public ?float $adjusted,
        public bool $told,
    ) {
    }
}
