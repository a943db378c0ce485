<?php

declare(strict_types=1);

namespace Lustrum\Trial;

use Lustrum\Core\CoreException;
use Lustrum\Core\Footing\Difference;
use Lustrum\Core\Footing\FootingCheck;
use Lustrum\Core\Quantity\Digits;
use Lustrum\Core\Quantity\Quantity;
use Lustrum\Core\Statistics\Sample;
use Lustrum\Finding\Failure;
use Lustrum\Finding\FailureView;
use Lustrum\Weighing\Contexts;
use Lustrum\Weighing\Dossier;
use Lustrum\Weighing\Estimate;
use Lustrum\Weighing\Measured;
use Lustrum\Weighing\RunFact;

/** What Lustrum notices about a run that the person at the bench may not know. */
final readonly class Noticing
{
    /**
     * @param list<FailureView> $failures of this run
     *
     * @return list<string>
     */
    public static function about(Run $run, Dossier $dossier, array $failures): array
    {
        return array_values(array_filter([
            ...self::recurrences($dossier, $failures),
            ...self::settings($run),
            ...self::differences($run, $dossier),
            self::past($run),
            ...self::soFar($run, $dossier),
            self::missing($run),
        ]));
    }

    /**
     * @param list<FailureView> $failures
     *
     * @return list<string>
     */
    private static function recurrences(Dossier $dossier, array $failures): array
    {
        $out = [];
        foreach ($failures as $failure) {
            $seen = [];
            foreach ($dossier->failures as $other) {
                if ($other->id()->toRfc4122() !== $failure->id && self::same($other, $failure)) {
                    $letter = $other->revision()->letter();
                    $seen[$letter] = ($seen[$letter] ?? 0) + 1;
                }
            }
            ksort($seen);
            $out[] = $seen === []
                ? sprintf('“%s” has not been seen on this device before.', $failure->mode)
                : sprintf('“%s” was seen before: %s.', $failure->mode, implode(', ', array_map(static fn (string $l, int $n): string => ($n === 1 ? 'once' : $n.' times').' on '.$l, array_map(strval(...), array_keys($seen)), array_values($seen))));
        }

        return $out;
    }

    private static function same(Failure $other, FailureView $failure): bool
    {
        return mb_strtolower($other->mode()) === mb_strtolower($failure->mode);
    }

    /** @return list<string> settings that were not where they should be */
    private static function settings(Run $run): array
    {
        $out = [];
        foreach ($run->trial()->method()->settings() as $rule) {
            foreach ($run->view()->settings as $found) {
                if ($found->name !== $rule->name || $rule->intended === null || !$found->recorded()) {
                    continue;
                }
                try {
                    $value = $rule->unit === '' ? (float) $found->text : Quantity::typed($found->text)->to($rule->unit)->value;
                } catch (CoreException) {
                    continue;
                }
                if (abs($value - $rule->intended) > ($rule->tolerance ?? 0.0) + 1e-9) {
                    $out[] = sprintf('%s was found at %s; it should be %s %s%s. It has moved: look at this before you blame the design.', ucfirst($rule->name), $found->text, Digits::short($rule->intended), $rule->unit, $rule->tolerance === null ? '' : ' ± '.Digits::short($rule->tolerance));
                }
            }
        }

        return $out;
    }

    /** @return list<string> after a failure: what differs from the last run of this kind that held */
    private static function differences(Run $run, Dossier $dossier): array
    {
        if ($run->outcome() !== RunOutcome::Failed) {
            return [];
        }
        $id = $run->id()->toRfc4122();
        $method = $run->trial()->method()->id()->toRfc4122();
        $own = array_values(array_filter($dossier->runs, static fn (RunFact $r): bool => $r->id === $id));
        $good = array_values(array_filter($dossier->runs, static fn (RunFact $r): bool => $r->method === $method && $r->outcome === RunOutcome::Held && $r->id !== $id && ($own === [] || $r->startedAt <= $own[0]->startedAt)));
        if ($own === []) {
            return [];
        }
        if ($good === []) {
            return ['No earlier run of this kind held, so there is nothing to compare with.'];
        }
        $last = $good[count($good) - 1];
        $metric = $last->readings === [] ? '' : $last->readings[0]->metric;
        $check = FootingCheck::between(Contexts::of([$last], $metric, $run->trial()->method()), Contexts::of($own, $metric, $run->trial()->method()));
        $whys = array_map(static fn (Difference $d): string => lcfirst(rtrim($d->why, '.')), array_values(array_filter($check->differences, static fn (Difference $d): bool => !in_array($d->what, ['runs', 'period', 'stopped early'], true))));
        if ($last->revision !== $own[0]->revision) {
            array_unshift($whys, sprintf('the build (%s, then %s)', $last->configuration->letter, $own[0]->configuration->letter));
        }

        return [sprintf('Against the last one that held (run %d on %s): %s.', $last->number, $last->configuration->letter, $whys === [] ? 'nothing recorded differs' : implode('; ', array_slice($whys, 0, 4)))];
    }

    private static function past(Run $run): string
    {
        $configuration = $run->configuration();
        if ($configuration->serial === '' || $configuration->earlierRuns === 0) {
            return '';
        }

        return sprintf('%s had %d %s%s behind it.', $configuration->serial, $configuration->earlierRuns, $configuration->earlierRuns === 1 ? 'run' : 'runs', $configuration->earlierFailures > 0 ? sprintf(' and %d failed', $configuration->earlierFailures) : '');
    }

    /** @return list<string> the mean so far of this trial's channels */
    private static function soFar(Run $run, Dossier $dossier): array
    {
        $trial = $run->trial()->id()->toRfc4122();
        $facts = array_values(array_filter($dossier->runs, static fn (RunFact $r): bool => $r->trial === $trial));
        $out = [];
        foreach ($run->trial()->method()->channels() as $channel) {
            $measured = Measured::of($channel->metric, $facts, $channel->unit);
            if (count($measured->values) > 1) {
                $out[] = sprintf('%s over %d finished runs of this trial: %s.', ucfirst($channel->metric), count($measured->values), Estimate::of(Sample::of($measured->values)->interval($dossier->device->confidence()), $measured->unit, $measured->decimals, 0)->text);
            }
        }

        return $out;
    }

    private static function missing(Run $run): string
    {
        $missing = $run->view()->missing;

        return $missing === [] ? '' : sprintf('Nobody has recorded %s yet. Write “unknown” if it cannot be told any more.', implode(' or ', array_map(mb_strtolower(...), $missing)));
    }
}
