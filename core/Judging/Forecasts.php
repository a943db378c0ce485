<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\CoreException;
use Lustrum\Core\Cost\Sums;
use Lustrum\Core\Effect\Bundle;
use Lustrum\Core\Effect\Effect;
use Lustrum\Core\Quantity\Quantity;

/** Works out the consequences of a set of candidates. */
final class Forecasts
{
    /**
     * @param list<Proposal>          $chosen
     * @param list<Wanted>            $wanted
     * @param array<string, Baseline> $baselines of the build that it starts from, by metric
     */
    public static function together(array $chosen, Device $device, array $wanted, array $baselines): Consequences
    {
        $cost = Sums::of(array_map(static fn (Proposal $p): string => $p->cost, $chosen));
        $hours = array_sum(array_map(static fn (Proposal $p): float => $p->hours, $chosen));
        $overCost = $device->costLimit !== null && Sums::exceeds($cost, $device->costLimit) ? Sums::difference($device->costLimit, $cost) : null;
        $units = self::units($wanted);
        $rules = array_column(array_reverse(array_filter($wanted, static fn (Wanted $w): bool => $w->unit !== '')), null, 'metric');
        $forecasts = [];
        foreach (Bundle::of(self::effects($chosen, $units)) as $bundle) {
            $rule = $rules[$bundle->metric] ?? null;
            $now = $baselines[$bundle->metric] ?? null;
            $forecasts[] = new MetricForecast(
                $bundle->metric, $now->unit ?? $units[$bundle->metric] ?? '', $now, $bundle->low, $bundle->likely, $bundle->high,
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
     *
     * @return list<Effect> each in the unit of its metric's requirement, or of the first effect on it
     */
    private static function effects(array $chosen, array $units): array
    {
        $effects = [];
        foreach ($chosen as $proposal) {
            foreach ($proposal->effects as $effect) {
                $unit = $units[$effect['metric']] ??= $effect['unit'];
                try {
                    $in = static fn (float $v): float => Quantity::of($v, $effect['unit'])->differenceTo($unit);
                    $effects[] = new Effect(
                        $proposal->what, $effect['metric'], $in($effect['low']), $in($effect['likely']), $in($effect['high']),
                    );
                } catch (CoreException) {
                    // An effect in a unit of another dimension says nothing of this metric.
                    continue;
                }
            }
        }

        return $effects;
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
