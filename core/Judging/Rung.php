<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

/** A rung of a ladder on one build. */
final readonly class Rung
{
    public function __construct(
        public float $level,
        public int $held,
        public int $tried,
        public float $low,
        public float $high,
    ) {
    }
}
