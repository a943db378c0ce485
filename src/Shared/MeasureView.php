<?php

declare(strict_types=1);

namespace Lustrum\Shared;

use Lustrum\Core\Quantity\Digits;
use Lustrum\Core\Quantity\Quantity;

/** A quantity as typed, in the SI, and written out with the digits that it carries. */
final readonly class MeasureView
{
    public string $text;

    public function __construct(
        public float $value,
        public string $unit,
        public ?float $resolution,
        public float $si,
    ) {
        $this->text = Digits::typed($value, $resolution).' '.$unit;
    }

    public function quantity(): Quantity
    {
        return Quantity::of($this->value, $this->unit, $this->resolution);
    }
}
