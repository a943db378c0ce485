<?php

declare(strict_types=1);

namespace Lustrum\Core\Reliability;

use Lustrum\Core\Statistics\LeastSquares;

/** The log-rank test over all ways to deal what was observed to groups of these sizes. */
final class LogRankWays
{
    private const MOST = 20_000;

    /** As large as what was seen, but for rounding. */
    private const SAME = 1e-9;

    private int $all = 0;
    private int $asFar = 0;

    /**
     * @param list<array{float, bool}> $observed times and whether they ended, the longest first
     */
    private function __construct(
        private readonly array $observed,
        private readonly float $seen,
    ) {
    }

    /**
     * The share of them whose χ² reaches the one that was seen; null where there are too many.
     *
     * @param list<Lives> $groups
     */
    public static function share(array $groups, float $seen): ?float
    {
        $sizes = array_map(static fn (Lives $l): int => count($l->times), $groups);
        if (self::count($sizes) > self::MOST) {
            return null;
        }
        $observed = [];
        foreach ($groups as $lives) {
            foreach ($lives->times as $i => $time) {
                $observed[] = [$time, $lives->ended[$i]];
            }
        }
        usort($observed, static fn (array $a, array $b): int => $b[0] <=> $a[0]);
        $ways = new self($observed, $seen);
        $k = count($sizes);
        $none = array_fill(0, $k, 0);
        if ($k === 2) {
            $ways->dealTwo(0, $sizes[0], $sizes[1], 0, 0, 0, 0.0, 0.0);
        } else {
            $ways->deal(0, $sizes, $none, $none, array_fill(0, $k, 0.0), array_fill(0, $k, array_fill(0, $k, 0.0)));
        }

        return $ways->asFar / $ways->all;
    }

    /** @param list<int> $sizes */
    private static function count(array $sizes): float
    {
        $ways = 1.0;
        $all = 0;
        foreach ($sizes as $size) {
            for ($i = 1; $i <= $size && $ways <= self::MOST; ++$i) {
                $ways *= ++$all / $i;
            }
        }

        return round($ways);
    }

    /**
     * @param int                     $at       which is dealt next
     * @param array<int, int>         $left     places in each group
     * @param array<int, int>         $risk     dealt to each, so at risk until now
     * @param array<int, int>         $events   at this time
     * @param array<int, float>       $excess   of events over what was expected
     * @param array<int, array<int, float>> $variance
     */
    private function deal(int $at, array $left, array $risk, array $events, array $excess, array $variance): void
    {
        $all = count($this->observed);
        $isLast = $at + 1 === $all || $this->observed[$at + 1][0] < $this->observed[$at][0];
        foreach ($left as $group => $places) {
            if ($places === 0) {
                continue;
            }
            [$l, $r, $e, $x, $v] = [$left, $risk, $events, $excess, $variance];
            --$l[$group];
            ++$r[$group];
            $e[$group] += $this->observed[$at][1] ? 1 : 0;
            if ($isLast) {
                [$x, $v] = self::past($r, $e, $x, $v);
                $e = array_fill(0, count($e), 0);
            }
            if ($at + 1 < $all) {
                $this->deal($at + 1, $l, $r, $e, $x, $v);
                continue;
            }
            ++$this->all;
            $this->asFar += self::chi2($x, $v)[0] >= $this->seen - self::SAME ? 1 : 0;
        }
    }

    /**
     * The same for two groups, where the first tells everything: thousands of ways in a few milliseconds.
     *
     * @param int   $left   places in the first group
     * @param int   $other  in the second
     * @param int   $risk   dealt to the first
     * @param int   $events of it at this time
     * @param int   $all    events of both at this time
     * @param float $excess of the first
     */
    private function dealTwo(int $at, int $left, int $other, int $risk, int $events, int $all, float $excess, float $variance): void
    {
        $n = $at + 1;
        $isEnd = $n === count($this->observed);
        $isLast = $isEnd || $this->observed[$n][0] < $this->observed[$at][0];
        $own = $this->observed[$at][1] ? 1 : 0;
        $all += $own;
        $spread = $all === 0 || $n === 1 ? 0.0 : $all * ($n - $all) / ($n - 1);
        for ($group = 0; $group < 2; ++$group) {
            if (($group === 0 ? $left : $other) === 0) {
                continue;
            }
            [$r, $e, $x, $v] = [$group === 0 ? $risk + 1 : $risk, $group === 0 ? $events + $own : $events, $excess, $variance];
            if ($isLast && $all > 0) {
                $x += $e - $all * $r / $n;
                $v += $spread * $r / $n * (1 - $r / $n);
            }
            if (!$isEnd) {
                $this->dealTwo(
                    $n, $group === 0 ? $left - 1 : $left, $group === 0 ? $other : $other - 1, $r, $isLast ? 0 : $e, $isLast ? 0 : $all, $x, $v,
                );
                continue;
            }
            ++$this->all;
            $this->asFar += ($v > 0 ? $x * $x / $v : 0.0) >= $this->seen - self::SAME ? 1 : 0;
        }
    }

    /**
     * What one time adds.
     *
     * @param array<int, int>               $risk
     * @param array<int, int>               $events
     * @param array<int, float>             $excess
     * @param array<int, array<int, float>> $variance
     *
     * @return array{array<int, float>, array<int, array<int, float>>}
     */
    public static function past(array $risk, array $events, array $excess, array $variance): array
    {
        [$n, $d] = [array_sum($risk), array_sum($events)];
        if ($d === 0) {
            return [$excess, $variance];
        }
        $spread = $n > 1 ? $d * ($n - $d) / ($n - 1) : 0.0;
        foreach ($risk as $i => $of) {
            $excess[$i] += $events[$i] - $d * $of / $n;
            foreach ($risk as $j => $other) {
                $variance[$i][$j] += $spread * $of / $n * (($i === $j ? 1 : 0) - $other / $n);
            }
        }

        return [$excess, $variance];
    }

    /**
     * The last group follows from the others: V·x = z, χ² = z·x; V of no full rank by what is left of it.
     *
     * @param array<int, float>             $excess
     * @param array<int, array<int, float>> $variance
     *
     * @return array{float, int} and the rank
     */
    public static function chi2(array $excess, array $variance): array
    {
        $size = count($excess) - 1;
        if ($size === 1) {
            return $variance[0][0] > 0 ? [$excess[0] ** 2 / $variance[0][0], 1] : [0.0, 0];
        }
        $columns = array_map(static fn (int $j): array => array_map(
            static fn (int $i): float => $variance[$i][$j], range(0, $size - 1),
        ), range(0, $size - 1));
        $z = array_slice($excess, 0, $size);
        $fit = LeastSquares::fit($columns, $z);

        return [array_sum(array_map(static fn (float $a, float $b): float => $a * $b, $z, $fit->coefficients)), $fit->rank];
    }
}
