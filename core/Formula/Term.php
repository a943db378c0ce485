<?php

declare(strict_types=1);

namespace Lustrum\Core\Formula;

use Lustrum\Core\Quantity\Dimension;

/** A part of a formula worked out: its value in the SI, its dimension, and how it moves with each variable. */
final readonly class Term
{
    /** @param array<string, float> $slopes derivative by variable, in SI units */
    public function __construct(
        public float $value,
        public Dimension $dimension,
        public array $slopes = [],
    ) {
    }

    /** f of this term, with its derivative there. */
    public function map(float $value, float $derivative, Dimension $dimension): self
    {
        return new self($value, $dimension, array_map(static fn (float $s): float => $s * $derivative, $this->slopes));
    }

    /** A value of two terms, with the derivatives by each. */
    public function with(self $other, float $value, float $byThis, float $byOther, Dimension $dimension): self
    {
        $slopes = [];
        foreach ([[$this->slopes, $byThis], [$other->slopes, $byOther]] as [$of, $factor]) {
            foreach ($of as $name => $slope) {
                $slopes[$name] = ($slopes[$name] ?? 0.0) + $factor * $slope;
            }
        }

        return new self($value, $dimension, $slopes);
    }
}
