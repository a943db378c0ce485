<?php

declare(strict_types=1);

namespace Lustrum\Shared;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use Lustrum\Core\Quantity\Quantity;
use Lustrum\Core\Run\Row;

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
     *
     * @throws \Lustrum\Core\CoreException when they are no quantity
     */
    public static function fromRow(array $row): self
    {
        return self::of(Quantity::of(
            Row::numberOrNull($row['value'] ?? null) ?? \NAN, Row::text($row['unit'] ?? ''), Row::numberOrNull($row['resolution'] ?? null),
        ));
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
