<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\CoreException;
use Lustrum\Core\Footing\Context;
use Lustrum\Core\Footing\Instrument;
use Lustrum\Core\Footing\Level;
use Lustrum\Core\Footing\UnitPast;
use Lustrum\Core\Quantity\Quantity;
use Lustrum\Core\Run\Condition;
use Lustrum\Core\Run\Configuration;
use Lustrum\Core\Run\RunFact;
use Lustrum\Core\Run\RunOutcome;
use Lustrum\Core\Run\SettingRule;

/** Gathers from runs what the footing check wants to know; the rules are those that the runs were made under. */
final class Contexts
{
    /**
     * @param non-empty-list<RunFact> $runs
     * @param string                  $metric    identifier
     * @param string                  $name      of the metric
     * @param list<string>            $dependsOn change classes that the metric depends on; empty: all of them
     */
    public static function of(array $runs, string $metric, string $name, array $dependsOn = []): Context
    {
        $lots = $pasts = $instruments = $firmware = $operators = $configurations = [];
        $version = $stopped = 0;
        $from = $to = $runs[0]->startedAt;
        $settings = $conditions = [];
        foreach ($runs as $run) {
            $configuration = $run->configuration;
            $configurations[spl_object_id($configuration)] = $configuration;
            $operators[$run->operator] = true;
            $stopped += $run->outcome === RunOutcome::StoppedEarly ? 1 : 0;
            $from = min($from, $run->startedAt);
            $to = max($to, $run->startedAt);
            foreach ($run->settings as $level => $text) {
                $settings[$level][$text] = ($settings[$level][$text] ?? 0) + 1;
            }
            foreach ($run->conditions as $level => $text) {
                $conditions[$level][$text] = ($conditions[$level][$text] ?? 0) + 1;
            }
            if ($configuration->serial !== '' && !isset($pasts[$configuration->serial])) {
                $pasts[$configuration->serial] = new UnitPast($configuration->serial, $run->earlierRuns, $run->earlierFailures);
            }
            $reading = $run->reading($metric);
            if ($reading !== null && !isset($instruments[$reading->channel.'/'.$reading->instrument])) {
                $unit = $configuration->channel($reading->channel)->unit ?? $reading->unit;
                $instruments[$reading->channel.'/'.$reading->instrument] = new Instrument($name, $reading->instrument, $unit);
            }
        }
        foreach ($configurations as $configuration) {
            foreach ($configuration->lots as $material => $lot) {
                $lots[$material][] = $lot;
            }
            $firmware[$configuration->firmware] = true;
            $version = max($version, $configuration->methodVersion);
        }
        $first = $runs[0]->configuration;
        $watched = $dependsOn === [] || in_array('firmware', $dependsOn, true);

        return new Context(
            method: $first->methodName, methodVersion: $version, rig: $first->rig, instruments: array_values($instruments),
            operators: self::words($operators), units: array_values($pasts),
            lots: array_map(static fn (array $l): array => array_values(array_unique($l)), $lots),
            firmware: $watched ? self::words($firmware) : [],
            settings: self::levels(self::rules($configurations, false), $settings, count($runs)),
            conditions: self::levels(self::rules($configurations, true), $conditions, count($runs)),
            from: $from, to: $to, runs: count($runs), stoppedEarly: $stopped,
        );
    }

    /**
     * @param array<int, Configuration> $configurations of the runs
     *
     * @return array<string, Condition|SettingRule> by name; that of the first run where runs differ
     */
    private static function rules(array $configurations, bool $conditions): array
    {
        $rules = [];
        foreach ($configurations as $configuration) {
            foreach ($conditions ? $configuration->conditions : $configuration->settings as $rule) {
                $rules[$rule->name] ??= $rule;
            }
        }

        return $rules;
    }

    /**
     * @param array<string, Condition|SettingRule>     $rules
     * @param array<string, array<array-key, int>> $recorded by name: text as recorded => on how many runs
     *
     * @return array<string, Level> by name
     */
    private static function levels(array $rules, array $recorded, int $runs): array
    {
        $levels = [];
        foreach ($rules as $name => $rule) {
            $texts = $recorded[$name] ?? [];
            $silent = $runs - array_sum($texts);
            $levels[$name] = self::level($rule, $silent > 0 ? ['' => $silent + ($texts[''] ?? 0)] + $texts : $texts);
        }

        return $levels;
    }

    /** @param array<array-key, int> $texts as recorded => on how many runs */
    private static function level(Condition|SettingRule $rule, array $texts): Level
    {
        $numbers = $words = [];
        $unknown = 0;
        foreach ($texts as $typed => $count) {
            $text = trim((string) $typed);
            $word = mb_strtolower($text);
            if ($word === '' || $word === 'unknown') {
                $unknown += $count;
            } elseif ($rule->unit === '') {
                $words[] = $word;
            } else {
                try {
                    $number = Quantity::typed($text)->to($rule->unit)->value;
                    $numbers = [...$numbers, ...array_fill(0, $count, $number)];
                } catch (CoreException) {
                    $unknown += $count;
                }
            }
        }

        return new Level($numbers, $words, $unknown, $rule->tolerance, $rule->unit);
    }

    /**
     * @param array<array-key, true> $words
     *
     * @return list<string>
     */
    private static function words(array $words): array
    {
        return array_values(array_filter(array_map(strval(...), array_keys($words)), static fn (string $w): bool => $w !== ''));
    }
}
