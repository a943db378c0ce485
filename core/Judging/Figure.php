<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Statistics\Interval;

/** A number with its unit, interval and count, and the decimals that it was measured to; not yet in words. */
final readonly class Figure
{
    /** @param int $n runs behind it; nought where it stands for more than one group */
    public function __construct(
        public float $value,
        public ?float $low,
        public ?float $high,
        public string $unit,
        public int $decimals,
        public int $n,
    ) {
    }

    public static function of(Interval $interval, string $unit, int $decimals, int $n = 0): self
    {
        return new self($interval->estimate, $interval->low, $interval->high, $unit, $decimals, $n);
    }
}
