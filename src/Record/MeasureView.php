<?php

declare(strict_types=1);

namespace Lustrum\Record;

use Lustrum\Core\Quantity\Digits;

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
}
