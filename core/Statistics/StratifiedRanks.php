<?php

declare(strict_types=1);

namespace Lustrum\Core\Statistics;

use Lustrum\Core\Statistics\Distribution\Normal;

/**
 * Two sides by order alone, stratum by stratum: the rank sums of all, each weighed by one over its size and one (van Elteren 1960,
 * Bull. Inst. Int. Stat. 37, 351). Exact while the sums that there can be are few; else normal.
 */
final class StratifiedRanks
{
    private const SUMS = 20_000;
    private const STEPS = 300_000;

    /** Sums that are no farther apart are one. */
    private const SAME = 1e9;

    /**
     * @param list<RankSums> $strata
     *
     * @return float two-sided p
     */
    public static function p(array $strata): float
    {
        $seen = $variance = 0.0;
        $steps = 0;
        /** @var array<int, float>|null $ways */
        $ways = [0 => 1.0];
        foreach ($strata as $one) {
            $weight = 1 / ($one->n + 1);
            $seen += $weight * $one->seen;
            $variance += $weight ** 2 * $one->variance();
            $steps += count($ways ?? []) * count($one->ways);
            $ways = $ways === null || $steps > self::STEPS ? null : self::and($ways, $one, $weight);
        }
        if ($ways === null) {
            return $variance > 0 ? min(1.0, 2 * Normal::upper(abs($seen) / sqrt($variance))) : 1.0;
        }
        $far = abs((int) round($seen * self::SAME)) - count($strata);

        return min(1.0, array_sum(array_filter(
            $ways, static fn (int $sum): bool => abs($sum) >= $far, \ARRAY_FILTER_USE_KEY,
        )));
    }

    /**
     * @param array<int, float> $ways chance of each sum so far
     *
     * @return array<int, float>|null null where there are too many
     */
    private static function and(array $ways, RankSums $one, float $weight): ?array
    {
        $total = array_sum($one->ways);
        $out = [];
        foreach ($ways as $sum => $chance) {
            foreach ($one->ways as $deviation => $times) {
                $key = $sum + (int) round($deviation * $weight * self::SAME);
                $out[$key] = ($out[$key] ?? 0.0) + $chance * $times / $total;
            }
        }

        return count($out) > self::SUMS ? null : $out;
    }
}
