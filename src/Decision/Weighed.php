<?php

declare(strict_types=1);

namespace Lustrum\Decision;

use Lustrum\Core\CoreException;
use Lustrum\Core\Cost\Sums;
use Lustrum\Core\Effect\Bundle;
use Lustrum\Core\Effect\Effect;
use Lustrum\Core\Quantity\Digits;
use Lustrum\Core\Quantity\Quantity;
use Lustrum\Core\Statistics\Sample;
use Lustrum\Device\RequirementView;
use Lustrum\Revision\Revision;
use Lustrum\Weighing\Dossier;
use Lustrum\Weighing\Measured;

/** Works out the consequences of a set of candidates. */
final readonly class Weighed
{
    /** @param list<CandidateView> $chosen */
    public static function together(array $chosen, Revision $revision, Dossier $dossier): Consequences
    {
        $device = $dossier->device->view();
        $cost = Sums::of(array_map(static fn (CandidateView $c): string => number_format($c->cost, 2, '.', ''), $chosen));
        $hours = array_sum(array_map(static fn (CandidateView $c): float => $c->hours, $chosen));
        $over = [];
        if ($device->costLimit !== null && Sums::exceeds($cost, number_format($device->costLimit, 2, '.', ''))) {
            $over[] = sprintf('%s %s is %s over the limit of %s.', $cost, $device->currency, Sums::difference(number_format($device->costLimit, 2, '.', ''), $cost), Digits::decimals($device->costLimit, 2));
        }
        if ($device->hoursLimit !== null && $hours > $device->hoursLimit) {
            $over[] = sprintf('%s h is %s h over the limit of %s h.', Digits::decimals($hours, 1), Digits::decimals($hours - $device->hoursLimit, 1), Digits::decimals($device->hoursLimit, 1));
        }
        if ($device->changesLimit !== null && count($chosen) > $device->changesLimit) {
            $over[] = sprintf('%d changes at once; this team set itself at most %d.', count($chosen), $device->changesLimit);
        }
        $bundles = Bundle::of(self::effects($chosen, $dossier));
        $entangled = [];
        foreach ($bundles as $bundle) {
            if ($bundle->entangled) {
                $entangled[] = sprintf('%s: one build cannot tell %s apart.', ucfirst($bundle->metric), implode(' and ', array_map(static fn (string $w): string => '“'.$w.'”', $bundle->candidates)));
            }
        }

        return new Consequences(count($chosen), $cost, $hours, $over, array_map(static fn (Bundle $b): MetricForecast => self::forecast($b, $revision, $dossier), $bundles), $entangled);
    }

    public static function unit(string $metric, Dossier $dossier, string $otherwise): string
    {
        return $dossier->comparisons->requirement($metric)?->unit() ?? $otherwise;
    }

    /**
     * @param list<CandidateView> $chosen
     *
     * @return list<Effect> each in the unit of its metric's requirement, or of the first effect on it
     */
    private static function effects(array $chosen, Dossier $dossier): array
    {
        $effects = [];
        $units = [];
        foreach ($chosen as $candidate) {
            foreach ($candidate->effects as $effect) {
                $unit = $units[$effect->metric] ??= self::unit($effect->metric, $dossier, $effect->unit);
                try {
                    $in = static fn (float $v): float => Quantity::of($v, $effect->unit)->differenceTo($unit);
                    $effects[] = new Effect($candidate->what, $effect->metric, $in($effect->low), $in($effect->likely), $in($effect->high));
                } catch (CoreException) {
                    // An effect in a unit of another dimension says nothing of this metric.
                    continue;
                }
            }
        }

        return $effects;
    }

    private static function forecast(Bundle $bundle, Revision $revision, Dossier $dossier): MetricForecast
    {
        $requirement = $dossier->comparisons->requirement($bundle->metric)?->view();
        $measured = Measured::of($bundle->metric, $dossier->runsOf($revision), $requirement->unit ?? '');
        $now = $measured->values === [] ? null : Sample::of($measured->values)->mean;
        $at = static fn (float $add): ?float => $now === null ? null : $now + $add;
        $meets = 'unknown';
        if ($now !== null && $requirement !== null) {
            $ends = [$requirement->direction->met($now + $bundle->low, $requirement->limit), $requirement->direction->met($now + $bundle->high, $requirement->limit)];
            $meets = $ends === [true, true] ? 'would' : (in_array(true, $ends, true) ? 'could' : 'wouldNot');
        }

        return new MetricForecast($bundle->metric, $measured->unit !== '' ? $measured->unit : ($requirement->unit ?? ''), $now, $at($bundle->low), $at($bundle->likely), $at($bundle->high), $bundle->low, $bundle->high, $measured->decimals, $requirement?->limit, $meets, $bundle->candidates, $bundle->entangled, self::sentence($bundle, $measured, $now, $requirement, $meets));
    }

    private static function sentence(Bundle $bundle, Measured $measured, ?float $now, ?RequirementView $requirement, string $meets): string
    {
        if ($now === null) {
            return sprintf('%s was not measured on this build, so the effect has nothing to stand on.', ucfirst($bundle->metric));
        }
        $d = $measured->decimals;
        $text = sprintf('%s is %s %s now (%d %s); expected %s to %s', ucfirst($bundle->metric), Digits::decimals($now, $d), $measured->unit, count($measured->values), count($measured->values) === 1 ? 'run' : 'runs', Digits::decimals($now + min($bundle->low, $bundle->high), $d), Digits::decimals($now + max($bundle->low, $bundle->high), $d));
        if ($requirement === null) {
            return $text.'.';
        }
        $limit = sprintf('the limit of %s %s', Digits::short($requirement->limit), $requirement->unit);

        return $text.match ($meets) {
            'would' => ', all of it within '.$limit.'.',
            'could' => ', part of it within '.$limit.'.',
            default => ', none of it within '.$limit.'.',
        };
    }
}
