<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Outcome\Result;
use Lustrum\Core\Outcome\ResultKind;
use Lustrum\Core\Quantity\Digits;
use Lustrum\Core\Quantity\Units;

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
     */
    private function __construct(
        public string $unit,
        public int $decimals,
        public array $values,
        public array $atLeast,
        public array $atMost,
        public array $bunches,
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

        return new self($target->symbol, self::decimals($step, $values, $target->symbol), $values, $atLeast, $atMost, $used);
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
