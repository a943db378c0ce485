<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Outcome\ResultKind;
use Lustrum\Core\Quantity\Digits;
use Lustrum\Core\Quantity\Unit;
use Lustrum\Core\Quantity\Units;
use Lustrum\Core\Run\RunFact;

/** The values of one metric over some runs, in one unit; bounds and lost articles kept apart from values. */
final readonly class Measured
{
    /** Where no instrument says how finely it reads, three digits of the largest value are shown. */
    private const DIGITS = 3;

    /**
     * @param string        $metric identifier
     * @param list<float>   $values
     * @param list<RunFact> $runs   that gave a value
     * @param list<RunFact> $bounds that ended before the event
     * @param list<RunFact> $lost
     */
    private function __construct(
        public string $metric,
        public string $unit,
        public int $decimals,
        public array $values,
        public array $runs,
        public array $bounds,
        public array $lost,
    ) {
    }

    /**
     * @param list<RunFact> $runs
     * @param string        $unit empty: the unit that the first reading was typed in
     */
    public static function of(string $metric, array $runs, string $unit = ''): self
    {
        $values = $used = $bounds = $lost = $fits = [];
        $step = 0.0;
        $target = $unit === '' ? null : Units::parse($unit);
        foreach ($runs as $run) {
            if ($run->lost()) {
                $lost[] = $run;
                continue;
            }
            $reading = $run->reading($metric);
            if ($reading === null || !$run->says()) {
                continue;
            }
            $target ??= Units::parse($reading->unit);
            if (!($fits[$reading->unit] ??= self::fits($reading->unit, $target))) {
                continue;
            }
            if ($reading->kind !== ResultKind::Equal) {
                $bounds[] = $run;
                continue;
            }
            $values[] = $target->fromSi($reading->si);
            $used[] = $run;
            $step = max($step, $reading->step / $target->factor);
        }

        return new self($metric, $target->symbol ?? $unit, self::decimals($step, $values), $values, $used, $bounds, $lost);
    }

    /**
     * @param float       $step   of the coarsest instrument, in the unit of the values; nought where none says
     * @param list<float> $values
     */
    public static function decimals(float $step, array $values): int
    {
        return $step > 0 ? Digits::decimalsOf($step) : self::decimalsFor($values);
    }

    private static function fits(string $unit, Unit $target): bool
    {
        return Units::parse($unit)->dimension->equals($target->dimension);
    }

    /** @param list<float> $values */
    private static function decimalsFor(array $values): int
    {
        $size = $values === [] ? 1.0 : abs(max($values));

        return $size > 0 ? max(0, self::DIGITS - 1 - (int) floor(log10($size))) : 1;
    }
}
