<?php

declare(strict_types=1);

namespace Lustrum\Core\Formula;

use Lustrum\Core\Quantity\Dimension;

/** A part of a formula worked out: its value in the SI, its dimension, and how it moves with each variable. */
final readonly class Term
{
    /**
     * @param array<string, float> $slopes  derivative by variable, in SI units
     * @param Turning|null         $turning where it is known to count radians or cycles
     * @param bool                 $byPi    is it multiplied with π?
     * @param bool                 $byRpm   is it multiplied with turns a minute?
     */
    public function __construct(
        public float $value,
        public Dimension $dimension,
        public array $slopes = [],
        public ?Turning $turning = null,
        public bool $byPi = false,
        public bool $byRpm = false,
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

    /** The same, with what it counts. */
    public function counting(?Turning $turning, bool $byPi, bool $byRpm): self
    {
        return new self($this->value, $this->dimension, $this->slopes, $turning, $byPi, $byRpm);
    }

    /** A product or quotient of two: a plain factor leaves what is counted, unless it holds the π between the two. */
    public function times(self $one, self $other): self
    {
        $turning = match (true) {
            $one->byPi || $other->byPi => null,
            $other->dimension->isRatio() => $one->turning,
            $one->dimension->isRatio() => $other->turning,
            default => null,
        };

        return $this->counting($turning, $one->byPi || $other->byPi, $one->byRpm || $other->byRpm);
    }
}
