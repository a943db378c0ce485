<?php

declare(strict_types=1);

namespace Lustrum\Core\Working;

use Lustrum\Core\Statistics\Distribution\Normal;

/** A worked answer against what was read afterwards. */
final readonly class Forecast
{
    /** Of a normal distribution, what its interval holds. */
    private const HOLDS = 0.95;

    /**
     * @param float      $read   in the unit of the answer
     * @param float|null $halves how far off, in half-widths of its interval, above nought where more was read; null where it has none
     */
    private function __construct(
        public float $value,
        public ?float $u,
        public string $unit,
        public float $read,
        public ?float $halves,
        public ?bool $isInside,
    ) {
    }

    /** @param float|null $u standard uncertainty of the answer */
    public static function of(float $value, ?float $u, string $unit, float $read): self
    {
        $half = self::half($u);
        $halves = $half > 0.0 ? ($read - $value) / $half : null;

        return new self($value, $u, $unit, $read, $halves, $halves === null ? null : abs($halves) <= 1.0);
    }

    /** Half of the interval of an answer; nought where nobody knows how sure it is. */
    public static function half(?float $u): float
    {
        return Normal::quantile((1 + self::HOLDS) / 2) * max(0.0, $u ?? 0.0);
    }
}
