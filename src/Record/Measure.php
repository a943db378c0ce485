<?php

declare(strict_types=1);

namespace Lustrum\Record;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use Lustrum\Core\Quantity\Quantity;

/** A quantity as it was typed, and in the SI; kept together in four columns. */
#[ORM\Embeddable]
final readonly class Measure
{
    private function __construct(
        #[ORM\Column(type: Types::FLOAT)]
        public float $value,
        #[ORM\Column(length: 40)]
        public string $unit,
        #[ORM\Column(type: Types::FLOAT, nullable: true)]
        public ?float $resolution,
        #[ORM\Column(type: Types::FLOAT)]
        public float $si,
    ) {
    }

    public static function of(Quantity $quantity): self
    {
        return new self($quantity->value, $quantity->unit->symbol, $quantity->resolution, $quantity->si());
    }

    /**
     * @param array<array-key, mixed> $row value, unit, resolution
     */
    public static function fromRow(array $row): self
    {
        $number = static fn (string $key): ?float => is_int($row[$key] ?? null) || is_float($row[$key] ?? null) ? (float) $row[$key] : null;

        return self::of(Quantity::of($number('value') ?? NAN, is_string($row['unit'] ?? null) ? $row['unit'] : '', $number('resolution')));
    }

    public function quantity(): Quantity
    {
        return Quantity::of($this->value, $this->unit, $this->resolution);
    }

    public function view(): MeasureView
    {
        return new MeasureView($this->value, $this->unit, $this->resolution, $this->si);
    }
}
