<?php

declare(strict_types=1);

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/** What happens by chance in a simulated workshop; the same seed gives the same. */
final class Chance
{
    private Randomizer $random;

    private ?float $spare = null;

    public function __construct(int $seed)
    {
        $this->random = new Randomizer(new Xoshiro256StarStar($seed));
    }

    public function between(float $low, float $high): float
    {
        return $low + ($high - $low) * $this->random->getInt(0, (1 << 53) - 1) / (1 << 53);
    }

    public function isSo(float $probability): bool
    {
        return $this->between(0, 1) < $probability;
    }

    /** Box and Muller (1958). */
    public function normal(float $mean = 0.0, float $sd = 1.0): float
    {
        if ($this->spare !== null) {
            [$z, $this->spare] = [$this->spare, null];

            return $mean + $sd * $z;
        }
        $r = sqrt(-2 * log(1 - $this->between(0, 1)));
        $angle = 2 * M_PI * $this->between(0, 1);
        $this->spare = $r * sin($angle);

        return $mean + $sd * $r * cos($angle);
    }

    /** @return list<float> */
    public function normals(int $n, float $mean = 0.0, float $sd = 1.0): array
    {
        return array_map(fn (): float => $this->normal($mean, $sd), range(1, $n));
    }

    public function poisson(float $mean): int
    {
        for ($n = 0, $p = $this->between(0, 1); $p > exp(-$mean); ++$n) {
            $p *= $this->between(0, 1);
        }

        return $n;
    }

    public function weibull(float $shape, float $scale): float
    {
        return $scale * (-log(1 - $this->between(0, 1))) ** (1 / $shape);
    }

    /** A standard deviation as so many degrees of freedom know it. */
    public function known(float $sd, int $df): float
    {
        return $sd * sqrt(array_sum(array_map(static fn (float $z): float => $z * $z, $this->normals($df))) / $df);
    }
}
