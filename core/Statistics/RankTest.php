<?php

declare(strict_types=1);

namespace Lustrum\Core\Statistics;

use Lustrum\Core\Statistics\Distribution\Normal;

/**
 * Mann and Whitney (1947), with the shift of Hodges and Lehmann (1963): for scales where only the order means something.
 *
 * p is exact without ties while the product of the sizes is at most 400, else normal with tie and continuity correction.
 */
final readonly class RankTest
{
    private const EXACT = 400;

    private function __construct(
        public float $u,
        public float $p,
        public float $shift,
        public bool $exact,
    ) {
    }

    /**
     * u counts the pairs in which a lies above b, ties half; the shift is the median of b − a.
     *
     * @param list<float> $a
     * @param list<float> $b
     *
     * @throws NoValues
     */
    public static function of(array $a, array $b): self
    {
        [$first, $second] = [Sample::of($a, 'a'), Sample::of($b, 'b')];
        [$na, $nb] = [$first->n, $second->n];
        $u = self::above($a, $b);
        $ties = 0.0;
        foreach (array_count_values(array_map(strval(...), [...$a, ...$b])) as $count) {
            $ties += $count ** 3 - $count;
        }
        $exact = $ties === 0.0 && $na * $nb <= self::EXACT;

        return new self(
            $u, $exact ? self::exact((int) min($u, $na * $nb - $u), $na, $nb) : self::normal($u, $na, $nb, $ties),
            Shift::median($first->values, $second->values), $exact,
        );
    }

    /**
     * Pairs in which a lies above b, ties half: both in their order, gone through once.
     *
     * @param list<float> $a
     * @param list<float> $b
     */
    private static function above(array $a, array $b): float
    {
        sort($a);
        sort($b);
        $u = 0.0;
        $below = $upTo = 0;
        foreach ($a as $x) {
            while ($below < count($b) && $b[$below] < $x) {
                ++$below;
            }
            while ($upTo < count($b) && $b[$upTo] <= $x) {
                ++$upTo;
            }
            $u += $below + ($upTo - $below) / 2;
        }

        return $u;
    }

    private static function exact(int $u, int $na, int $nb): float
    {
        // Number of arrangements with each value of U: the Gaussian binomial coefficients, built up item by item.
        $ways = [1.0];
        for ($i = 1; $i <= $na; ++$i) {
            $next = array_fill(0, $i * $nb + 1, 0.0);
            // Multiply by (1 − x^(nb+i)) and divide by (1 − x^i).
            foreach ($ways as $k => $w) {
                $next[$k] += $w;
                if ($k + $nb + $i <= $i * $nb) {
                    $next[$k + $nb + $i] -= $w;
                }
            }
            for ($k = $i; $k <= $i * $nb; ++$k) {
                $next[$k] += $next[$k - $i];
            }
            $ways = $next;
        }

        return min(1.0, 2 * array_sum(array_slice($ways, 0, $u + 1)) / array_sum($ways));
    }

    private static function normal(float $u, int $na, int $nb, float $ties): float
    {
        $n = $na + $nb;
        $variance = $na * $nb / 12 * ($n + 1 - $ties / ($n * ($n - 1)));
        if ($variance <= 0) {
            return 1.0;
        }

        return min(1.0, 2 * Normal::upper(max(0.0, abs($u - $na * $nb / 2) - 0.5) / sqrt($variance)));
    }
}
