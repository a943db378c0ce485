<?php

declare(strict_types=1);

namespace Lustrum\Core\Alike;

use Lustrum\Core\Statistics\Interval;

/** The difference in per cent of the first side. */
final readonly class Change
{
    /** @param 'fieller'|'ratio'|'none' $method none: no interval of it can be given */
    private function __construct(
        public ?float $percent,
        public ?float $low,
        public ?float $high,
        public string $method,
    ) {
    }

    public static function none(?float $percent = null): self
    {
        return new self($percent, null, null, 'none');
    }

    public static function fieller(Interval $change): self
    {
        return new self($change->estimate, $change->low, $change->high, 'fieller');
    }

    /** From a difference of logarithms. */
    public static function ratio(Interval $logarithms): self
    {
        $percent = static fn (?float $x): ?float => $x === null ? null : 100 * (exp($x) - 1);

        return new self($percent($logarithms->estimate), $percent($logarithms->low), $percent($logarithms->high), 'ratio');
    }
}
