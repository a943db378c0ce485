<?php

declare(strict_types=1);

namespace Lustrum\Core\Statistics\Distribution;

/** How many of those that held fall on the one of two sides, where how many held in all is given. */
final readonly class Hypergeometric
{
    /** As likely as what was seen, within rounding, counts as at least as unlikely. */
    private const SAME = 1e-7;

    /**
     * @param list<float> $chances of $least, $least + 1, …
     */
    private function __construct(
        public array $chances,
        public int $least,
    ) {
    }

    /** Of $tried on the side and $triedElsewhere on the other, $held held in all. */
    public static function of(int $tried, int $triedElsewhere, int $held): self
    {
        $least = max(0, $held - $triedElsewhere);
        $all = Special::logChoose($tried + $triedElsewhere, $held);

        return new self(array_map(
            static fn (int $k): float => exp(Special::logChoose($tried, $k) + Special::logChoose($triedElsewhere, $held - $k) - $all),
            range($least, max($least, min($tried, $held))),
        ), $least);
    }

    /** Where each adds its own: the sum of the two. */
    public function plus(self $other): self
    {
        $sum = array_fill(0, count($this->chances) + count($other->chances) - 1, 0.0);
        foreach ($this->chances as $i => $p) {
            foreach ($other->chances as $k => $q) {
                $sum[$i + $k] += $p * $q;
            }
        }

        return new self(array_values($sum), $this->least + $other->least);
    }

    /** How likely something is that is at least as unlikely as $seen: the exact test, two-sided by probability. */
    public function atMostAsLikelyAs(int $seen): float
    {
        $limit = $this->chances[$seen - $this->least] * (1 + self::SAME);

        return min(1.0, array_sum(array_filter($this->chances, static fn (float $p): bool => $p <= $limit)));
    }
}
