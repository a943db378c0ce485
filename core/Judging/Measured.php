<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Quantity\Digits;
use Lustrum\Core\Quantity\Units;

/** The values of one metric over some runs, in one unit, bounds kept apart from values. */
final readonly class Measured
{
    /** Where no instrument says how finely it reads, three digits of the largest value are shown. */
    private const DIGITS = 3;

    /**
     * @param list<float> $values
     * @param list<float> $atLeast of runs that ended before what they waited for came
     * @param int         $bounds  runs that gave a bound of either kind
     * @param list<Bunch> $bunches that these come from: those whose unit fits
     */
    private function __construct(
        public string $unit,
        public int $decimals,
        public array $values,
        public array $atLeast,
        public int $bounds,
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
            return new self($unit, self::decimals(0.0, []), [], [], 0, []);
        }
        $target = Units::parse($unit === '' ? $bunches[0]->unit : $unit);
        $values = $atLeast = $used = [];
        $step = 0.0;
        $bounds = 0;
        foreach ($bunches as $bunch) {
            if (Units::parse($bunch->unit)->dimension->equals($target->dimension)) {
                $used[] = $bunch;
                array_push($values, ...array_map($target->fromSi(...), $bunch->values));
                array_push($atLeast, ...array_map($target->fromSi(...), $bunch->atLeast));
                $bounds += $bunch->bounds;
                $step = max($step, $bunch->step / $target->factor);
            }
        }

        return new self($target->symbol, self::decimals($step, $values), $values, $atLeast, $bounds, $used);
    }

    /**
     * @param float       $step   of the coarsest instrument, in the unit of the values; nought where none says
     * @param list<float> $values
     */
    public static function decimals(float $step, array $values): int
    {
        return $step > 0 ? Digits::decimalsOf($step) : self::decimalsFor($values);
    }

    /** @param list<float> $values */
    private static function decimalsFor(array $values): int
    {
        $size = $values === [] ? 1.0 : abs(max($values));

        return $size > 0 ? max(0, self::DIGITS - 1 - (int) floor(log10($size))) : 1;
    }
}
