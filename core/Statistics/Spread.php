<?php

declare(strict_types=1);

namespace Lustrum\Core\Statistics;

/** The spread of repeats, by these and by what is known of the method. */
final readonly class Spread
{
    /** @param float|null $sd null: a single value, of which nothing is known */
    private function __construct(
        public ?float $sd,
        public float $df,
        public bool $isKnown,
    ) {
    }

    /** @param float $squares what is left over when all that is fitted is taken out, with $df degrees */
    public static function of(float $squares, float $df, Repeats $repeats): self
    {
        $known = $repeats->given[0] ?? null;
        if ($known?->fits($squares, $df) === true) {
            [$variance, $all] = $known->with($squares, $df);

            return new self($repeats->floor(sqrt($variance)), $all, true);
        }

        return new self($df > 0 ? $repeats->floor(sqrt($squares / $df)) : null, $df, false);
    }

    /** Of the mean of so many. */
    public function se(int $n): ?float
    {
        return $this->sd === null ? null : $this->sd / sqrt($n);
    }
}
