<?php

declare(strict_types=1);

namespace Lustrum\Shared;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use Lustrum\Core\Quantity\Quantity;
use Lustrum\Core\Quantity\Units;
use Lustrum\Core\Run\Row;

/**
 * A quantity as it was typed, and in the SI; kept together in four columns. Nobody changes one; not `readonly`, as the unit of
 * work reads a record anew when it is locked, and another value may have come meanwhile.
 *
 * @immutable
 */
#[ORM\Embeddable]
final class Measure
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

    /**
     * An entry of a device file with a text as somebody would type it; value and resolution are restored afterwards.
     *
     * @param array<string, mixed> $row
     *
     * @return array<string, mixed>
     */
    public static function asTyped(array $row, string $field): array
    {
        $measure = $row[$field] ?? null;
        if (is_array($measure) && is_numeric($measure['value'] ?? null) && is_string($measure['unit'] ?? null) && Units::knows($measure['unit'])) {
            $row['text'] = rtrim(sprintf('%.12g %s', $measure['value'], $measure['unit'] === '1' ? '' : $measure['unit']));
        }

        return $row;
    }
}
