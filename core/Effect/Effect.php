<?php

declare(strict_types=1);

namespace Lustrum\Core\Effect;

/** What a candidate is expected to do to a metric: a range with its likely value, added to the present one. */
final readonly class Effect
{
    public function __construct(
        public string $candidate,
        public string $metric,
        public float $low,
        public float $likely,
        public float $high,
    ) {
    }
}
