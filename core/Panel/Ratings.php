<?php

declare(strict_types=1);

namespace Lustrum\Core\Panel;

use Lustrum\Core\InvalidInput;
use Lustrum\Core\NotEstimable;
use Lustrum\Core\Statistics\Compare;
use Lustrum\Core\Statistics\Friedman;
use Lustrum\Core\Statistics\Holm;
use Lustrum\Core\Statistics\Sample;

/** What a panel says: differences within raters, so that a strict one and a kind one weigh alike (`panel.analyse`). */
final readonly class Ratings
{
    /**
     * @param list<array{item: string, mean: float, n: int, low: float|null, high: float|null}>                                                  $items       in order of first appearance
     * @param list<array{a: string, b: string, n: int, estimate: float, low: float|null, high: float|null, p: float|null, adjusted: float|null}> $differences b − a
     * @param Friedman|null                                                                                                                      $friedman    null where too few rated everything, or nothing differs
     */
    private function __construct(
        public array $items,
        public array $differences,
        public ?Friedman $friedman,
    ) {
    }

    /**
     * @param list<array{rater: string, item: string, value: float}> $ratings several of one rater for one item are averaged
     *
     * @throws InvalidInput
     */
    public static function of(array $ratings, float $confidence): self
    {
        $by = [];
        foreach ($ratings as $rating) {
            $by[$rating['item']][$rating['rater']][] = $rating['value'];
        }
        if (count($by) < 2) {
            throw InvalidInput::because('At least two items must have been rated.', 'ratings');
        }
        $means = array_map(
            static fn (array $raters): array => array_map(static fn (array $v): float => Sample::of($v)->mean, $raters), $by,
        );
        $items = [];
        foreach ($means as $item => $values) {
            $sample = Sample::of(array_values($values));
            $interval = $sample->interval($confidence);
            $items[] = [
                'item' => (string) $item, 'mean' => $sample->mean, 'n' => $sample->n, 'low' => $interval->low, 'high' => $interval->high,
            ];
        }

        return new self($items, self::differences($means, $confidence), self::friedman($means));
    }

    /**
     * @param array<string, array<string, float>> $means
     *
     * @return list<array{a: string, b: string, n: int, estimate: float, low: float|null, high: float|null, p: float|null, adjusted: float|null}>
     */
    private static function differences(array $means, float $confidence): array
    {
        $names = array_map(strval(...), array_keys($means));
        $out = [];
        foreach ($names as $i => $a) {
            foreach (array_slice($names, $i + 1) as $b) {
                $both = array_values(array_intersect(array_keys($means[$a]), array_keys($means[$b])));
                if ($both === []) {
                    continue;
                }
                $c = Compare::paired(
                    array_map(static fn (string|int $r): float => $means[$a][$r], $both),
                    array_map(static fn (string|int $r): float => $means[$b][$r], $both), $confidence,
                );
                $out[] = [
                    'a' => $a, 'b' => $b, 'n' => count($both), 'estimate' => $c->difference->estimate, 'low' => $c->difference->low,
                    'high' => $c->difference->high, 'p' => $c->p, 'adjusted' => null,
                ];
            }
        }
        $adjusted = Holm::adjust(array_values(array_filter(array_column($out, 'p'), static fn (?float $p): bool => $p !== null)));
        $next = 0;

        return array_map(static function (array $d) use ($adjusted, &$next): array {
            return ['adjusted' => $d['p'] === null ? null : $adjusted[$next++]] + $d;
        }, $out);
    }

    /** @param array<string, array<string, float>> $means */
    private static function friedman(array $means): ?Friedman
    {
        $complete = array_intersect_key(...array_values($means));
        $blocks = array_map(
            static fn (string|int $rater): array => array_map(static fn (array $values): float => $values[$rater], array_values($means)),
            array_keys($complete),
        );
        if (count($blocks) < 2) {
            return null;
        }
        try {
            return Friedman::of($blocks);
        } catch (NotEstimable) {
            return null;
        }
    }
}
