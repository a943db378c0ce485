<?php

declare(strict_types=1);

namespace Lustrum\Core\Statistics;

use Lustrum\Core\Statistics\Distribution\Normal;

/**
 * Mann and Whitney (1947), with the shift of Hodges and Lehmann (1963): for scales where only the order means something.
 *
 * p is exact, with ties too, while there are at most 20,000 ways in which the ranks could have fallen; else normal with tie and
 * continuity correction.
 */
final readonly class RankTest
{
    private const WAYS = 20_000;

    private function __construct(
        public float $u,
        public float $p,
        public float $shift,
        /** @var 'exact'|'normal' */
        public string $method,
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
        $isExact = self::ways($na + $nb, min($na, $nb)) <= self::WAYS;

        return new self(
            $u, $isExact ? RankSums::of($first->values, $second->values)->p() : self::normal($u, $na, $nb, self::ties([...$a, ...$b])),
            Shift::median($first->values, $second->values), $isExact ? 'exact' : 'normal',
        );
    }

    /** In how many ways so many of all can be taken. */
    private static function ways(int $of, int $taken): float
    {
        $ways = 1.0;
        for ($i = 1; $i <= $taken; ++$i) {
            $ways *= ($of - $taken + $i) / $i;
        }

        return round($ways);
    }

    /** @param list<float> $values */
    private static function ties(array $values): float
    {
        return array_sum(array_map(
            static fn (int $n): float => $n ** 3 - $n,
            array_count_values(array_map(static fn (float $v): string => (string) ($v + 0.0), $values)),
        ));
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
