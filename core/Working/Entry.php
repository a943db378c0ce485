<?php

declare(strict_types=1);

namespace Lustrum\Core\Working;

use Lustrum\Core\CoreException;
use Lustrum\Core\Quantity\Quantity;
use Lustrum\Core\Quantity\Units;

/** One value as somebody gave it. */
final readonly class Entry
{
    /** @param float $u standard uncertainty, in $unit; nought where nobody knows it */
    public function __construct(
        public float $value,
        public string $unit = '1',
        public float $u = 0.0,
    ) {
    }

    /**
     * In SI, with its uncertainty.
     *
     * @return array{float, float}
     *
     * @throws CoreException where it does not measure what is wanted
     */
    public function si(string $unit): array
    {
        $there = Quantity::of($this->value, $this->unit)->to($unit);

        return [$there->si(), $this->u * self::step($this->unit, $unit)];
    }

    /** How much one of a unit is in SI where another is wanted: a rotation in radians a second is turns of it. */
    private static function step(string $unit, string $wanted): float
    {
        $from = Quantity::of(0.0, $unit)->to($wanted)->si();
        $to = Quantity::of(1.0, $unit)->to($wanted)->si();

        return abs($to - $from);
    }

    /** What an output comes to in a unit, of a value in SI. */
    public static function said(float $si, string $own, string $unit): float
    {
        return Quantity::of(Units::parse($own)->fromSi($si), $own)->to($unit)->value;
    }

    /** How much of an SI unit one of a unit is, where only differences count. */
    public static function size(string $own, string $unit): float
    {
        return self::step($unit, $own);
    }
}
