<?php

declare(strict_types=1);

namespace Lustrum\Weighing;

use Lustrum\Core\CoreException;
use Lustrum\Core\Footing\Context;
use Lustrum\Core\Footing\Instrument;
use Lustrum\Core\Footing\Level;
use Lustrum\Core\Footing\UnitPast;
use Lustrum\Core\Quantity\Quantity;
use Lustrum\Method\Condition;
use Lustrum\Method\Method;
use Lustrum\Method\SettingRule;
use Lustrum\Trial\RunOutcome;

/** Gathers from runs what the footing check wants to know. */
final readonly class Contexts
{
    /**
     * @param non-empty-list<RunFact> $runs
     * @param list<string>            $dependsOn change classes that the metric depends on; empty: all of them
     */
    public static function of(array $runs, string $metric, ?Method $method, array $dependsOn = []): Context
    {
        $lots = $pasts = $instruments = [];
        foreach ($runs as $run) {
            foreach ($run->configuration->lots as $material => $lot) {
                $lots[$material][] = $lot;
            }
            if ($run->serial !== '' && !isset($pasts[$run->serial])) {
                $pasts[$run->serial] = new UnitPast($run->serial, $run->configuration->earlierRuns, $run->configuration->earlierFailures);
            }
            $reading = $run->reading($metric);
            if ($reading !== null) {
                $instruments[$reading->channel.'/'.$reading->instrument] = new Instrument($reading->metric, $reading->instrument, self::channelUnit($run, $reading->channel) ?? $reading->unit);
            }
        }
        $conditions = $settings = [];
        foreach ($method?->conditions() ?? [] as $rule) {
            $conditions[$rule->name] = self::level($rule, array_map(static fn (RunFact $r): string => $r->conditions[$rule->name] ?? '', $runs));
        }
        foreach ($method?->settings() ?? [] as $rule) {
            $settings[$rule->name] = self::level($rule, array_map(static fn (RunFact $r): string => $r->settings[$rule->name] ?? '', $runs));
        }
        $first = $runs[0]->configuration;
        $times = array_map(static fn (RunFact $r): string => $r->startedAt, $runs);

        return new Context(
            $first->methodName, max(array_map(static fn (RunFact $r): int => $r->configuration->methodVersion, $runs)), $first->rig, array_values($instruments),
            self::unique(array_map(static fn (RunFact $r): string => $r->operator, $runs)), array_values($pasts),
            array_map(static fn (array $l): array => self::unique($l), $lots), $dependsOn !== [] && !in_array('firmware', $dependsOn, true) ? [] : self::unique(array_map(static fn (RunFact $r): string => $r->configuration->firmware, $runs)),
            $settings, $conditions, min($times), max($times), count($runs),
            count(array_filter($runs, static fn (RunFact $r): bool => $r->outcome === RunOutcome::StoppedEarly)),
        );
    }

    /** @param list<string> $texts as recorded on each run */
    private static function level(Condition|SettingRule $rule, array $texts): Level
    {
        $numbers = $words = [];
        $unknown = 0;
        foreach ($texts as $text) {
            if (trim($text) === '' || mb_strtolower(trim($text)) === 'unknown') {
                ++$unknown;
                continue;
            }
            if ($rule->unit === '') {
                $words[] = mb_strtolower(trim($text));
                continue;
            }
            try {
                $numbers[] = Quantity::typed($text)->to($rule->unit)->value;
            } catch (CoreException) {
                ++$unknown;
            }
        }

        return new Level($numbers, $words, $unknown, $rule->tolerance, $rule->unit);
    }

    private static function channelUnit(RunFact $run, string $key): ?string
    {
        foreach ($run->configuration->channels as $channel) {
            if ($channel['key'] === $key && is_string($channel['unit'])) {
                return $channel['unit'];
            }
        }

        return null;
    }

    /**
     * @param list<string> $words
     *
     * @return list<string>
     */
    private static function unique(array $words): array
    {
        return array_values(array_unique(array_filter($words, static fn (string $w): bool => $w !== '')));
    }
}
