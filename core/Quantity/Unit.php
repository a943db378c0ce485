<?php

declare(strict_types=1);

namespace Lustrum\Core\Quantity;

/**
 * A unit of measurement: si = (value + offset) · factor, in the coherent SI unit of its dimension.
 *
 * The offset is only other than nought for °C and °F.
 */
final readonly class Unit
{
    public function __construct(
        public string $symbol,
        public Dimension $dimension,
        public float $factor,
        public float $offset = 0.0,
        public string $kind = '',
    ) {
    }

    public function toSi(float $value): float
    {
        return ($value + $this->offset) * $this->factor;
    }

    public function fromSi(float $si): float
    {
        return $si / $this->factor - $this->offset;
    }

    /** What it measures, in a maker's word; a torque is told from an energy by its symbol. */
    public function measures(): string
    {
        return $this->kind !== '' ? $this->kind : $this->dimension->name();
    }

    /** The same unit under the symbol that somebody typed. */
    public function typedAs(string $symbol): self
    {
        return new self($symbol, $this->dimension, $this->factor, $this->offset, $this->kind);
    }
}
