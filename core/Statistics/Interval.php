<?php

declare(strict_types=1);

namespace Lustrum\Core\Statistics;

/** An estimate with its interval; either bound is null where none can be given. */
final readonly class Interval
{
    public function __construct(
        public float $estimate,
        public ?float $low,
        public ?float $high,
    ) {
    }

    public function has(): bool
    {
        return $this->low !== null && $this->high !== null;
    }
}
