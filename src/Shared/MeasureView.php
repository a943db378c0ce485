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
        string $words = '',
    ) {
        $this->text = $words !== '' ? $words : Digits::quantity($value, $resolution, $unit);
    }

    /** Something that is no quantity, shown where one would stand. */
    public static function words(string $words): self
    {
        return new self(0.0, '1', null, 0.0, $words);
    }

    /** The same as somebody said it; empty: as a number with its unit. */
    public function said(string $words): self
    {
        return $words === '' ? $this : new self($this->value, $this->unit, $this->resolution, $this->si, $words);
    }

    public function quantity(): Quantity
    {
        return Quantity::of($this->value, $this->unit, $this->resolution);
    }
}
