<?php

declare(strict_types=1);

namespace Lustrum\Core\Heap;

/** Something that was filmed, photographed or spoken, on the line of time; moments are seconds since 1970, in UTC. */
final readonly class Taken
{
    /** @param float $lasts seconds; nought for a picture */
    public function __construct(
        public string $id,
        public float $from,
        public float $lasts = 0.0,
    ) {
    }

    public function to(): float
    {
        return $this->from + $this->lasts;
    }
}
