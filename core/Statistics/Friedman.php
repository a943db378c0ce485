<?php

declare(strict_types=1);

namespace Lustrum\Core\Statistics;

use Lustrum\Core\InvalidInput;
use Lustrum\Core\NotEstimable;
use Lustrum\Core\Statistics\Distribution\ChiSquare;

/** Friedman (1937) with ties corrected, and Kendall's W: do raters order items alike? Exact while the ways are few. */
final readonly class Friedman
{
    private const WAYS = 20_000;

    /** As large as what was seen, but for rounding. */
    private const SAME = 1e-9;

    private function __construct(
        public float $chi2,
        public int $df,
        public float $p,
        public float $w,
        /** @var 'exact'|'chi2' */
        public string $method,
    ) {
    }

    /**
     * @param list<list<float>> $blocks a row is a block (rater), all of one length
     *
     * @throws InvalidInput|NotEstimable
     */
    public static function of(array $blocks): self
    {
        $n = count($blocks);
        $k = $n === 0 ? 0 : count($blocks[0]);
        if ($n < 2 || $k < 2) {
            throw InvalidInput::because('At least two raters and two items are needed.', 'blocks');
        }
        $sums = array_fill(0, $k, 0.0);
        $all = [];
        $squares = 0.0;
        foreach ($blocks as $i => $block) {
            if (count($block) !== $k) {
                throw InvalidInput::because('Every row needs as many values as the first.', 'blocks/'.$i);
            }
            $all[] = $ranks = self::ranks($block);
            foreach ($ranks as $j => $rank) {
                $sums[$j] += $rank;
                $squares += $rank * $rank;
            }
        }
        $spread = $squares - $n * $k * ($k + 1) ** 2 / 4;
        if ($spread <= 1e-12) {
            throw NotEstimable::because(
                'values.equal', 'Every rater gave all items the same value, so there is no order to compare.', 'blocks',
            );
        }
        $chi2Of = static fn (array $of): float => ($k - 1) / $spread * array_sum(
            array_map(static fn (float $s): float => ($s - $n * ($k + 1) / 2) ** 2, $of),
        );
        $chi2 = $chi2Of($sums);
        $isExact = self::ways($k, $n - 1) <= self::WAYS;
        $p = $isExact ? self::share($all, static fn (array $of): bool => $chi2Of($of) >= $chi2 - self::SAME)
            : ChiSquare::upper($chi2, $k - 1);

        return new self($chi2, $k - 1, $p, $chi2 / ($n * ($k - 1)), $isExact ? 'exact' : 'chi2');
    }

    /** In how many ways so many blocks can order so many items. */
    private static function ways(int $items, int $blocks): float
    {
        return array_product(range(1, $items)) ** $blocks;
    }

    /**
     * The share of all arrangements, the first block held, whose sums of ranks are such.
     *
     * @param non-empty-list<list<float>>  $ranks of each block
     * @param callable(list<float>): bool $such
     */
    private static function share(array $ranks, callable $such): float
    {
        $sums = [[array_shift($ranks), 1.0]];
        foreach ($ranks as $block) {
            $next = [];
            $orders = self::orders($block);
            foreach ($sums as [$sum, $times]) {
                foreach ($orders as [$order, $often]) {
                    $added = array_map(static fn (float $a, float $b): float => $a + $b, $sum, $order);
                    $key = implode(' ', $added);
                    $next[$key] = [$added, ($next[$key][1] ?? 0.0) + $times * $often];
                }
            }
            $sums = $next;
        }
        $found = array_filter($sums, static fn (array $s): bool => $such($s[0]));

        return min(1.0, array_sum(array_column($found, 1)) / array_sum(array_column($sums, 1)));
    }

    /**
     * @param list<float> $of
     *
     * @return list<array{list<float>, float}> its different orders, and how often each comes
     */
    private static function orders(array $of): array
    {
        if (count($of) < 2) {
            return [[$of, 1.0]];
        }
        $out = [];
        foreach (array_count_values(array_map(strval(...), $of)) as $value => $often) {
            $rest = $of;
            unset($rest[array_search((float) $value, $of, true)]);
            foreach (self::orders(array_values($rest)) as [$order, $times]) {
                $out[] = [[(float) $value, ...$order], $often * $times];
            }
        }

        return $out;
    }

    /**
     * @param list<float> $values
     *
     * @return list<float> ranks, ties sharing their mean
     */
    public static function ranks(array $values): array
    {
        return array_map(static function (float $v) use ($values): float {
            $below = count(array_filter($values, static fn (float $w): bool => $w < $v));
            $equal = count(array_filter($values, static fn (float $w): bool => $w === $v));

            return $below + ($equal + 1) / 2;
        }, $values);
    }
}
