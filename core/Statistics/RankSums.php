<?php

declare(strict_types=1);

namespace Lustrum\Core\Statistics;

/** All ways in which the ranks of two sides could have fallen, ties at the middle of theirs, and which of them was seen. */
final readonly class RankSums
{
    /**
     * @param array<int, float> $ways how many assignments have each deviation: twice the rank sum of b, less its mean
     * @param int               $seen deviation that was seen
     */
    private function __construct(
        public array $ways,
        public int $seen,
        public int $n,
    ) {
    }

    /**
     * @param non-empty-list<float> $a
     * @param non-empty-list<float> $b
     */
    public static function of(array $a, array $b): self
    {
        $twice = self::twiceRanks([...$a, ...$b]);
        $n = count($twice);
        [$na, $nb] = [count($a), count($b)];
        $ways = array_fill(0, $nb + 1, []);
        $ways[0][0] = 1.0;
        foreach ($twice as $i => $rank) {
            // Each value stands on side b or does not; so many of them are taken in.
            for ($k = min($i + 1, $nb); $k > 0; --$k) {
                foreach ($ways[$k - 1] as $sum => $times) {
                    $ways[$k][$sum + $rank] = ($ways[$k][$sum + $rank] ?? 0.0) + $times;
                }
            }
        }
        $mean = $nb * ($n + 1);
        $all = [];
        foreach ($ways[$nb] as $sum => $times) {
            $all[$sum - $mean] = $times;
        }

        return new self($all, array_sum(array_slice($twice, $na)) - $mean, $n);
    }

    /** Share of all ways that lie as far from the mean as what was seen, on either side. */
    public function p(): float
    {
        $as = array_filter($this->ways, fn (int $deviation): bool => abs($deviation) >= abs($this->seen), \ARRAY_FILTER_USE_KEY);

        return min(1.0, array_sum($as) / array_sum($this->ways));
    }

    /** Variance of the deviation. */
    public function variance(): float
    {
        $squares = 0.0;
        foreach ($this->ways as $deviation => $times) {
            $squares += $times * $deviation ** 2;
        }

        return $squares / array_sum($this->ways);
    }

    /**
     * @param non-empty-list<float> $values
     *
     * @return non-empty-list<int> whole, since they are doubled
     */
    private static function twiceRanks(array $values): array
    {
        $sorted = $values;
        sort($sorted);
        $first = $last = [];
        foreach ($sorted as $i => $value) {
            // Minus nought is nought.
            $key = (string) ($value + 0.0);
            $first[$key] ??= $i + 1;
            $last[$key] = $i + 1;
        }

        return array_map(static fn (float $v): int => $first[(string) ($v + 0.0)] + $last[(string) ($v + 0.0)], $values);
    }
}
