<?php

declare(strict_types=1);

namespace Lustrum\Core\Panel;

use Lustrum\Core\InvalidInput;
use Lustrum\Core\Plan\Shuffle;

/**
 * Serving orders for a blind panel: Williams' design (1949), in which every item stands equally often in every place and
 * after every other, once the number of raters is a whole number of rounds (`plan.panel`).
 */
final readonly class ServingOrders
{
    private const MOST_ITEMS = 40;
    private const MOST_RATERS = 1000;

    /**
     * @param list<array{rater: int, order: list<string>, codes: list<string>}> $raters
     * @param array<string, string>                                            $codes   item => three digits
     * @param array{round: int, place: array{least: int, most: int}, after: array{least: int, most: int}, balanced: bool} $balance
     */
    private function __construct(
        public array $raters,
        public array $codes,
        public array $balance,
    ) {
    }

    /**
     * @param list<string> $items
     *
     * @throws InvalidInput
     */
    public static function of(array $items, int $raters, int $seed): self
    {
        $k = count($items);
        if ($k < 2 || $k > self::MOST_ITEMS || count(array_unique($items)) !== $k) {
            throw InvalidInput::because(sprintf('Between two and %d items, each named once.', self::MOST_ITEMS), 'items');
        }
        if ($raters < 1 || $raters > self::MOST_RATERS) {
            throw InvalidInput::because(sprintf('Between one and %d raters.', self::MOST_RATERS), 'raters');
        }
        $shuffle = new Shuffle($seed);
        $named = $shuffle->of($items);
        $rows = $shuffle->of(self::square($k));
        $codes = array_combine($items, array_map(strval(...), array_slice($shuffle->of(range(100, 999)), 0, $k)));
        $out = [];
        for ($r = 0; $r < $raters; ++$r) {
            $order = array_map(static fn (int $i): string => $named[$i], $rows[$r % count($rows)]);
            $out[] = ['rater' => $r + 1, 'order' => $order, 'codes' => array_map(static fn (string $i): string => $codes[$i], $order)];
        }

        return new self($out, $codes, self::balance($out, $items, count($rows)));
    }

    /** @return list<list<int>> rows of item numbers: k for an even number of items, 2k for an odd one */
    private static function square(int $k): array
    {
        // 0, 1, k−1, 2, k−2 …: neighbours differ by every distance once.
        $first = [];
        for ($i = 0; $i < $k; ++$i) {
            $first[] = $i % 2 === 1 ? intdiv($i + 1, 2) : ($k - intdiv($i, 2)) % $k;
        }
        $rows = [];
        for ($r = 0; $r < $k; ++$r) {
            $rows[] = array_map(static fn (int $v): int => ($v + $r) % $k, $first);
        }

        return $k % 2 === 0 ? $rows : [...$rows, ...array_map(array_reverse(...), $rows)];
    }

    /**
     * @param list<array{rater: int, order: list<string>, codes: list<string>}> $raters
     * @param list<string>                                                      $items
     *
     * @return array{round: int, place: array{least: int, most: int}, after: array{least: int, most: int}, balanced: bool}
     */
    private static function balance(array $raters, array $items, int $round): array
    {
        $place = $after = [];
        foreach ($items as $a) {
            for ($i = 0; $i < count($items); ++$i) {
                $place[$a.'/'.$i] = 0;
            }
            foreach ($items as $b) {
                if ($a !== $b) {
                    $after[$a.'/'.$b] = 0;
                }
            }
        }
        foreach ($raters as $rater) {
            foreach ($rater['order'] as $i => $item) {
                ++$place[$item.'/'.$i];
                if ($i > 0) {
                    ++$after[$rater['order'][$i - 1].'/'.$item];
                }
            }
        }
        $ends = static fn (array $counts): array => ['least' => (int) min($counts ?: [0]), 'most' => (int) max($counts ?: [0])];
        [$p, $a] = [$ends($place), $ends($after)];

        return ['round' => $round, 'place' => $p, 'after' => $a, 'balanced' => $p['least'] === $p['most'] && $a['least'] === $a['most']];
    }
}
