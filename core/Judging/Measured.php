<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Outcome\Result;
use Lustrum\Core\Outcome\ResultKind;
use Lustrum\Core\Quantity\Digits;
use Lustrum\Core\Quantity\Units;
use Lustrum\Core\Run\Factor;
use Lustrum\Core\Statistics\Interval;
use Lustrum\Core\Statistics\Sample;

/** The values of one metric over some runs, in one unit, bounds kept apart from values. */
final readonly class Measured
{
    /** Where no instrument says how finely it reads, three digits of the largest value are shown. */
    private const DIGITS = 3;

    private const COUNTED = ['1', 'count'];
    private const OF_COUNTS = 0.1;

    /**
     * @param list<float> $values
     * @param list<float> $atLeast of runs that ended before what they waited for came
     * @param list<float> $atMost
     * @param list<Bunch> $bunches that these come from: those whose unit fits
     * @param float       $step    the coarsest among the values, in the unit; nought where no instrument says
     */
    private function __construct(
        public string $unit,
        public int $decimals,
        public array $values,
        public array $atLeast,
        public array $atMost,
        public array $bunches,
        public float $step = 0.0,
    ) {
    }

    /**
     * @param list<Bunch> $bunches of one metric, those of earlier runs first
     * @param string      $unit    empty: the unit that the first reading was typed in
     */
    public static function of(array $bunches, string $unit = ''): self
    {
        $bunches = array_values(array_filter($bunches, static fn (Bunch $b): bool => $b->circumstances->runs > 0));
        if ($bunches === []) {
            return new self($unit, self::decimals(0.0, []), [], [], [], []);
        }
        $target = Units::parse($unit === '' ? $bunches[0]->unit : $unit);
        $values = $atLeast = $atMost = $used = [];
        $step = 0.0;
        foreach ($bunches as $bunch) {
            if (Units::parse($bunch->unit)->dimension->equals($target->dimension)) {
                $used[] = $bunch;
                array_push($values, ...array_map($target->fromSi(...), $bunch->values));
                array_push($atLeast, ...array_map($target->fromSi(...), $bunch->atLeast));
                array_push($atMost, ...array_map($target->fromSi(...), $bunch->atMost));
                $step = max($step, $bunch->step / $target->factor);
            }
        }

        return new self($target->symbol, self::decimals($step, $values, $target->symbol), $values, $atLeast, $atMost, $used, $step);
    }

    /**
     * What stands for what: runs, and where two articles or more are named each of these by its mean, since repeats of one article tell
     * nothing of the next.
     *
     * @param bool|null $byArticle do they? null: where there are two
     */
    public function sample(?bool $byArticle = null): ?Sample
    {
        if ($this->values === []) {
            return null;
        }
        $of = $this->byArticle();
        $alone = $of[''] ?? [];
        unset($of['']);

        return Sample::of($byArticle ?? $this->isOfArticles() ? [...array_values(array_map(
            static fn (array $values): float => array_sum($values) / count($values), $of,
        )), ...$alone] : $this->values);
    }

    /** Does an article stand for a value? Where raters pair the runs it is they who do. */
    public function isOfArticles(): bool
    {
        foreach ($this->bunches as $bunch) {
            if (array_diff(array_keys($bunch->alike->blocks), [Factor::ARTICLE, Factor::DAY]) !== []) {
                return false;
            }
        }

        return count(array_diff(array_map(strval(...), array_keys($this->byArticle())), [''])) > 1;
    }

    /** @return array<array-key, non-empty-list<float>> values by serial; empty: of those that name none */
    private function byArticle(): array
    {
        $of = [];
        foreach ($this->sided('a') as $one) {
            foreach ($one->values as $value) {
                $of[$one->article][] = $value;
            }
        }

        return $of;
    }

    /** The mean with its interval, and what is known of the method's repeats; null where there are only bounds. */
    public function interval(Terms $terms, float $confidence, ?bool $byArticle = null): ?Interval
    {
        $byArticle ??= $this->isOfArticles();

        return $this->sample($byArticle)?->interval($confidence, $terms->repeats($this->unit, $this->step)->on(false, $byArticle));
    }

    /** How many runs gave a bound of either kind. */
    public function bounds(): int
    {
        return count($this->atLeast) + count($this->atMost);
    }

    /** @return list<Result> runs that gave a bound of either kind */
    public function bounded(): array
    {
        return [
            ...array_map(static fn (float $v): Result => Result::of(ResultKind::AtLeast, $v), $this->atLeast),
            ...array_map(static fn (float $v): Result => Result::of(ResultKind::AtMost, $v), $this->atMost),
        ];
    }

    /**
     * The same as values of a side that can be opposed to another.
     *
     * @param 'a'|'b' $side
     *
     * @return list<Sided>
     */
    public function sided(string $side): array
    {
        $target = $this->bunches === [] ? null : Units::parse($this->unit);

        return $target === null ? [] : array_map(static fn (Bunch $b): Sided => new Sided(
            $side, $b->alike, $b->article, array_map($target->fromSi(...), $b->values), array_map($target->fromSi(...), $b->atLeast),
            array_map($target->fromSi(...), $b->atMost), $b,
        ), $this->bunches);
    }

    /**
     * The same bunches cell by cell.
     *
     * @param list<Bunch> $bunches
     *
     * @return list<non-empty-list<Bunch>> by first appearance
     */
    public static function byCell(array $bunches): array
    {
        $out = [];
        foreach ($bunches as $bunch) {
            $out[$bunch->alike->cell][] = $bunch;
        }

        return array_values($out);
    }

    /** How many cells these come from. */
    public function cells(): int
    {
        return count(array_unique(array_map(static fn (Bunch $b): string => $b->alike->cell, $this->bunches)));
    }

    /**
     * @param float       $step   of the coarsest instrument, in the unit of the values; nought where none says
     * @param list<float> $values
     * @param string      $unit   symbol
     */
    public static function decimals(float $step, array $values, string $unit = ''): int
    {
        // What is counted or rated comes in whole numbers; a mean of several does not.
        $between = in_array($unit, self::COUNTED, true) && $step >= 1 && count($values) > 1 ? self::OF_COUNTS : $step;

        return $between > 0 ? Digits::decimalsOf($between) : self::decimalsFor($values);
    }

    /** @param list<float> $values */
    private static function decimalsFor(array $values): int
    {
        $size = $values === [] ? 1.0 : abs(max($values));

        return $size > 0 ? max(0, self::DIGITS - 1 - (int) floor(log10($size))) : 1;
    }
}
