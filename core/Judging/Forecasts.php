<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Change\Expectation;
use Lustrum\Core\Change\ExpectedAs;
use Lustrum\Core\CoreException;
use Lustrum\Core\Cost\Sums;
use Lustrum\Core\Effect\Bundle;
use Lustrum\Core\Effect\Effect;
use Lustrum\Core\NotEstimable;
use Lustrum\Core\Quantity\Quantity;
use Lustrum\Core\Statistics\Natural;

/** Works out the consequences of a set of candidates. */
final class Forecasts
{
    /**
     * @param list<Proposal>          $chosen
     * @param list<Wanted>            $wanted
     * @param array<string, Baseline> $baselines of the build that it starts from, by metric
     * @param (callable(string): Terms)|null $terms by metric; null: nothing bounds its values
     */
    public static function together(array $chosen, Device $device, array $wanted, array $baselines, ?callable $terms = null): Consequences
    {
        $cost = Sums::of(array_map(static fn (Proposal $p): string => $p->cost, $chosen));
        $hours = array_sum(array_map(static fn (Proposal $p): float => $p->hours, $chosen));
        $overCost = $device->costLimit !== null && Sums::exceeds($cost, $device->costLimit) ? Sums::difference($device->costLimit, $cost) : null;
        $units = self::units($wanted);
        $rules = array_column(array_reverse(array_filter($wanted, static fn (Wanted $w): bool => $w->unit !== '')), null, 'metric');
        $forecasts = [];
        foreach (Bundle::of(self::effects($chosen, $units, $baselines)) as $bundle) {
            $rule = $rules[$bundle->metric] ?? null;
            $now = $baselines[$bundle->metric] ?? null;
            $unit = $now->unit ?? $units[$bundle->metric] ?? '';
            $natural = $terms === null ? Natural::none() : $terms($bundle->metric)->natural($unit);
            $add = static fn (float $by): float => $now === null ? $by : $natural->clip($now->mean + $by) - $now->mean;
            $forecasts[] = new MetricForecast(
                $bundle->metric, $unit, $now, $add($bundle->low), $add($bundle->likely), $add($bundle->high),
                $rule, self::meets($bundle, $now, $rule), $bundle->candidates, $bundle->entangled,
            );
        }

        return new Consequences(
            count($chosen), $cost, $hours, $overCost, $device->hoursLimit !== null && $hours > $device->hoursLimit,
            $device->changesLimit !== null && count($chosen) > $device->changesLimit, $forecasts,
        );
    }

    /**
     * In which unit each metric is thought of: that of its first requirement with one.
     *
     * @param list<Wanted> $wanted
     *
     * @return array<string, string>
     */
    public static function units(array $wanted): array
    {
        $units = [];
        foreach ($wanted as $one) {
            if ($one->unit !== '') {
                $units[$one->metric] ??= $one->unit;
            }
        }

        return $units;
    }

    /**
     * @param list<Proposal>        $chosen
     * @param array<string, string> $units
     * @param array<string, Baseline> $baselines by metric
     *
     * @return list<Effect> each in the unit of its metric's requirement, or of the first effect on it
     */
    private static function effects(array $chosen, array $units, array $baselines): array
    {
        $effects = [];
        foreach ($chosen as $proposal) {
            foreach ($proposal->effects as $effect) {
                $now = $baselines[$effect->metric] ?? null;
                $unit = $units[$effect->metric] ??= $now->unit ?? $effect->unit;
                $likely = $effect->likely();
                if ($likely === null) {
                    continue;
                }
                try {
                    $in = self::added($effect, $unit, $now);
                    $ends = [$in($effect->low ?? $likely), $in($likely), $in($effect->high ?? $likely)];
                    sort($ends);
                    $effects[] = new Effect($proposal->what, $effect->metric, ...$ends);
                } catch (CoreException) {
                    // An effect in a unit of another dimension, or on what nobody has measured, says nothing of this metric.
                    continue;
                }
            }
        }

        return $effects;
    }

    /**
     * What an effect adds to the present value, in the unit of the metric; where there is none, a value stands for itself.
     *
     * @return callable(float): float that may throw a CoreException
     */
    private static function added(Expectation $effect, string $unit, ?Baseline $now): callable
    {
        return match ($effect->mode) {
            ExpectedAs::Percent => static fn (float $v): float => $now === null
                ? throw NotEstimable::because('values.empty', 'A per cent of what nobody has measured.', 'effects') : $now->mean * $v / 100,
            ExpectedAs::Value => static fn (float $v): float => Quantity::of($v, $effect->unit)->to($unit)->value - ($now->mean ?? 0.0),
            default => static fn (float $v): float => Quantity::of($v, $effect->unit)->differenceTo($unit),
        };
    }

    private static function meets(Bundle $bundle, ?Baseline $now, ?Wanted $wanted): Meets
    {
        if ($now === null || $wanted === null) {
            return Meets::Unknown;
        }
        $direction = $wanted->rule->direction;
        $met = [$direction->met($now->mean + $bundle->low, $wanted->limit), $direction->met($now->mean + $bundle->high, $wanted->limit)];

        return match ($met) {
            [true, true] => Meets::Would,
            [false, false] => Meets::WouldNot,
            default => Meets::Could,
        };
    }
}
