<?php

declare(strict_types=1);

namespace Lustrum\Core\Formula;

use Lustrum\Core\Quantity\Unit;
use Lustrum\Core\Quantity\Units;

/** A variable of a formula: a value, or a series of them, with its standard uncertainty. */
final readonly class Variable
{
    /**
     * @param non-empty-list<float> $values in SI units
     * @param float                 $u      standard uncertainty of each, in SI units
     */
    private function __construct(
        public array $values,
        public Unit $unit,
        public float $u,
        public bool $series,
    ) {
    }

    /** @param float|null $u standard uncertainty; null: the resolution's, step/√12 (JCGM 100:2008, 4.3.7) */
    public static function of(float $value, string $unit, ?float $u = null, ?float $resolution = null): self
    {
        $parsed = Units::parse($unit);

        return new self([$parsed->toSi($value)], $parsed, ($u ?? ($resolution ?? 0.0) / sqrt(12)) * $parsed->factor, false);
    }

    /** A value that stands in the SI already; its resolution is in its unit. */
    public static function si(float $value, string $unit, float $resolution = 0.0): self
    {
        $parsed = Units::parse($unit);

        return new self([$value], $parsed, $resolution / sqrt(12) * $parsed->factor, false);
    }

    /** @param non-empty-list<float> $values */
    public static function series(array $values, string $unit, float $u = 0.0): self
    {
        $parsed = Units::parse($unit);

        return new self(array_map($parsed->toSi(...), $values), $parsed, $u * $parsed->factor, true);
    }
}
