<?php

declare(strict_types=1);

namespace Lustrum\Weighing;

use Lustrum\Core\Quantity\Digits;
use Lustrum\Core\Statistics\Interval;

/** A number for the screen: with unit, interval, count, and only the decimals that were measured. */
final readonly class Estimate
{
    public string $text;

    public function __construct(
        public float $value,
        public ?float $low,
        public ?float $high,
        public string $unit,
        public int $decimals,
        public int $n,
    ) {
        $this->text = self::write($value, $low, $high, $unit, $decimals);
    }

    public static function of(Interval $interval, string $unit, int $decimals, int $n): self
    {
        return new self($interval->estimate, $interval->low, $interval->high, $unit, $decimals, $n);
    }

    /** 13 % less 12 % is one point, not one per cent. */
    public static function differenceUnit(string $unit): string
    {
        return $unit === '%' ? 'points' : $unit;
    }

    private static function write(float $value, ?float $low, ?float $high, string $unit, int $decimals): string
    {
        $text = Digits::decimals($value, $decimals).($unit === '' ? '' : ' '.$unit);

        return $low === null || $high === null ? $text : sprintf('%s [%s, %s]', $text, Digits::decimals($low, $decimals), Digits::decimals($high, $decimals));
    }
}
