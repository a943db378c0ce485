<?php

declare(strict_types=1);

namespace Lustrum\Core\Statistics;

/**
 * The median of all differences b − a, found without making them all: rows of differences in order, of which ever more
 * are ruled out by the weighted median of their middles (Johnson and Mizoguchi 1978).
 */
final class Shift
{
    /** So few differences are simply put in order. */
    private const FEW = 4096;

    /**
     * @param non-empty-list<float> $a
     * @param non-empty-list<float> $b
     */
    public static function median(array $a, array $b): float
    {
        sort($a);
        sort($b);
        $n = count($a) * count($b);
        $upper = self::kth($a, $b, intdiv($n, 2));

        return $n % 2 === 1 ? $upper : (self::kth($a, $b, intdiv($n, 2) - 1) + $upper) / 2;
    }

    /**
     * @param non-empty-list<float> $a in order
     * @param non-empty-list<float> $b in order
     * @param int                   $k how many lie below, from nought
     */
    private static function kth(array $a, array $b, int $k): float
    {
        // Row i holds b − a[i], rising; what may still be the answer in it lies from low[i] to before high[i].
        $low = array_fill(0, count($a), 0);
        $high = array_fill(0, count($a), count($b));
        while (self::left($low, $high) > self::FEW) {
            $pivot = self::pivot($a, $b, $low, $high);
            [$under, $upTo] = self::split($a, $b, $pivot);
            if ($k < array_sum($under)) {
                $high = array_map(static fn (int $h, int $u): int => min($h, $u), $high, $under);
            } elseif ($k >= array_sum($upTo)) {
                $low = array_map(static fn (int $l, int $t): int => max($l, $t), $low, $upTo);
            } else {
                return $pivot;
            }
        }
        $rest = [];
        foreach ($a as $i => $x) {
            for ($j = $low[$i]; $j < $high[$i]; ++$j) {
                $rest[] = $b[$j] - $x;
            }
        }
        sort($rest);

        return $rest[$k - array_sum($low)];
    }

    /**
     * @param list<int> $low
     * @param list<int> $high
     */
    private static function left(array $low, array $high): int
    {
        $left = 0;
        foreach ($low as $i => $from) {
            $left += max(0, $high[$i] - $from);
        }

        return $left;
    }

    /**
     * The middle of the rows' middles, each weighed by what is left of its row: a quarter at least lies on either side.
     *
     * @param list<float> $a
     * @param list<float> $b
     * @param list<int>   $low
     * @param list<int>   $high
     */
    private static function pivot(array $a, array $b, array $low, array $high): float
    {
        $middles = $weights = [];
        foreach ($a as $i => $x) {
            if ($high[$i] > $low[$i]) {
                $middles[] = $b[intdiv($low[$i] + $high[$i], 2)] - $x;
                $weights[] = $high[$i] - $low[$i];
            }
        }
        asort($middles);
        $half = array_sum($weights) / 2;
        $sum = 0;
        foreach ($middles as $i => $middle) {
            $sum += $weights[$i];
            if ($sum >= $half) {
                return $middle;
            }
        }

        throw new \LogicException('Something was left.');
    }

    /**
     * How many of each row lie below the pivot, and how many not above it.
     *
     * @param list<float> $a
     * @param list<float> $b
     *
     * @return array{list<int>, list<int>}
     */
    private static function split(array $a, array $b, float $pivot): array
    {
        $under = $upTo = [];
        $u = $t = 0;
        $n = count($b);
        foreach ($a as $x) {
            while ($u < $n && $b[$u] - $x < $pivot) {
                ++$u;
            }
            while ($t < $n && $b[$t] - $x <= $pivot) {
                ++$t;
            }
            $under[] = $u;
            $upTo[] = $t;
        }

        return [$under, $upTo];
    }
}
