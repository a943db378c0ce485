<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Statistics\Interval;

/** One side of a comparison: what a metric came to on one build. */
final readonly class Side
{
    /** So many marks show a spread as well as all would; more are thinned to even steps of their order. */
    public const MARKS = 120;

    /**
     * @param Figure|null $figure null where there are only bounds, or where values of several levels would be put together
     * @param list<float> $marks  the values for a figure, in order; all of them, or MARKS of them
     */
    private function __construct(
        public string $build,
        public string $letter,
        public ?Figure $figure,
        public string $unit,
        public int $decimals,
        public int $n,
        public int $bounds,
        public array $marks,
        public int $levels,
    ) {
    }

    /**
     * @param float|null $half      half-width of its interval within what pairs the runs; null: nothing does, and its own spread says
     * @param bool|null  $byArticle do articles stand for values, as in what it is compared by? null: it is compared with nothing
     */
    public static function of(
        Build $build, Measured $m, Terms $terms, int $decimals, ?float $half = null, ?bool $byArticle = null,
    ): self {
        $n = count($m->values);
        $interval = $m->cells() > 1 ? null : self::interval($m, $terms, $half, $byArticle);
        $figure = $interval === null ? null : Figure::of($interval, $m->unit, $decimals, $n)
            ->within($terms->natural($m->unit))->worded(Worded::of($terms->words, $m->values));

        return new self($build->id, $build->letter, $figure, $m->unit, $decimals, $n, $m->bounds(), self::thinned($m->values), $m->cells());
    }

    private static function interval(Measured $m, Terms $terms, ?float $half, ?bool $byArticle): ?Interval
    {
        $own = $m->interval($terms, $terms->confidence(), $byArticle);

        return $half === null || $own === null ? $own : new Interval($own->estimate, $own->estimate - $half, $own->estimate + $half);
    }

    /**
     * @param list<float> $values
     *
     * @return list<float>
     */
    private static function thinned(array $values): array
    {
        sort($values);
        $n = count($values);
        if ($n <= self::MARKS) {
            return $values;
        }

        return array_map(static fn (int $i): float => $values[intdiv($i * ($n - 1), self::MARKS - 1)], range(0, self::MARKS - 1));
    }
}
