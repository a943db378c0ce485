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
use Lustrum\Core\Run\Deviation;
use Lustrum\Core\Run\DeviationKind;
use Lustrum\Core\Run\RunFact;
use Lustrum\Core\Run\SettingRule;

/** Gathers from runs what the footing check wants to know; the rules are those that the runs were made under. */
final class Contexts
{
    /** How used to it somebody was, among what differs between two sides. */
    private const PRACTICE = 'practice (goes before)';

    /**
     * Of what some runs read of a metric.
     *
     * @param non-empty-list<Bunch> $bunches   of one metric, with runs that say something
     * @param string                $name      of the metric
     * @param list<string>          $unrelated what somebody said bears on nothing of it, in one spelling
     */
    public static function of(Seen $seen, array $bunches, string $name, array $unrelated = []): Context
    {
        $instruments = [];
        foreach ($bunches as $bunch) {
            $unit = $seen->configuration($bunch->circumstances->made)->channel($bunch->channel)->unit ?? $bunch->unit;
            $instruments[$bunch->channel.'/'.$bunch->instrument] ??= new Instrument($name, $bunch->instrument, $unit);
        }
        $made = array_map(static fn (Bunch $b): array => [
            $b->circumstances, $seen->configuration($b->circumstances->made),
        ], $bunches);

        return self::together($made, array_values($instruments), $unrelated);
    }

    /**
     * Of runs that were asked whether they held: nothing was read.
     *
     * @param non-empty-list<Circumstances> $made
     * @param list<string>                  $unrelated
     */
    public static function ofAnswers(Seen $seen, array $made, array $unrelated = []): Context
    {
        usort($made, static fn (Circumstances $a, Circumstances $b): int => $a->first <=> $b->first);

        return self::together(array_map(
            static fn (Circumstances $c): array => [$c, $seen->configuration($c->made)], $made,
        ), [], $unrelated);
    }

    /**
     * Of one run, whatever it read.
     *
     * @param string $metric identifier
     * @param string $name   of the metric
     */
    public static function ofRun(RunFact $run, string $metric, string $name): Context
    {
        $circumstances = new Circumstances('');
        $circumstances->take($run);
        $r = $run->reading($metric);
        $instruments = $r === null ? [] : [
            new Instrument($name, $r->instrument, $run->configuration->channel($r->channel)->unit ?? $r->unit),
        ];

        return self::together([[$circumstances, $run->configuration]], $instruments, []);
    }

    /** Of what something is made with, whatever is found on a run of it. */
    public static function ofMade(Configuration $made): Context
    {
        return self::together([[new Circumstances(''), $made]], [], []);
    }

    /**
     * @param non-empty-list<array{Circumstances, Configuration}> $made        those of earlier runs first
     * @param list<Instrument>                                    $instruments
     * @param list<string>                                        $unrelated
     */
    private static function together(array $made, array $instruments, array $unrelated): Context
    {
        $bears = static fn (string $what): bool => !in_array(Deviation::inOneSpelling($what), $unrelated, true);
        $goes = $others = $lots = $pasts = $deviants = $off = $firmware = $operators = $settings = $conditions = [];
        $runs = $stopped = $version = 0;
        [$from, $to] = [$made[0][0]->from, $made[0][0]->to];
        foreach ($made as [$c, $configuration]) {
            $runs += $c->runs;
            $stopped += $c->stoppedEarly;
            $operators += $c->operators;
            $from = min($from, $c->from);
            $to = max($to, $c->to);
            self::count($settings, $c->settings);
            self::count($conditions, $c->conditions);
            foreach ($c->goes as $n => $times) {
                array_push($goes, ...array_fill(0, $times, (float) $n));
            }
            foreach ($c->others as $part => $serials) {
                $others[(string) $part] = array_values(array_unique([...$others[(string) $part] ?? [], ...self::words($serials)]));
            }
            self::off($off, $configuration, $c);
            $serial = $configuration->serial;
            $own = array_filter(
                $configuration->deviants,
                static fn (Deviation $d): bool => $d->kind !== DeviationKind::Firmware && $bears($d->what()),
            );
            if ($own !== []) {
                $deviants[$serial === '' ? 'one' : $serial] = array_values(array_unique([
                    ...$deviants[$serial === '' ? 'one' : $serial] ?? [],
                    ...array_map(static fn (Deviation $d): string => trim($d->name.' '.$d->value), array_values($own)),
                ]));
            }
            if ($serial !== '') {
                $pasts[$serial] ??= new UnitPast($serial, $c->earlierRuns, $c->earlierFailures, $configuration->articleState);
            } elseif ($configuration->articleState !== '') {
                $pasts["\x1f".$configuration->articleState] ??= new UnitPast('', state: $configuration->articleState);
            }
            foreach ($configuration->lots as $material => $lot) {
                if ($bears('lot:'.$material)) {
                    $lots[$material][] = $lot;
                }
            }
            $firmware[$configuration->firmware] = true;
            $version = max($version, $configuration->methodVersion);
        }
        $first = $made[0][1];
        $configurations = array_column($made, 1);

        return new Context(
            method: $first->methodName, methodVersion: $version, rig: $first->rig, instruments: $instruments,
            operators: self::words($operators), units: array_values($pasts),
            lots: array_map(static fn (array $l): array => array_values(array_unique($l)), $lots),
            firmware: $bears('firmware') ? self::words($firmware) : [],
            settings: self::levels(self::rules($configurations, false), $settings, $runs),
            // A gain that runs along with practice may be practice.
            conditions: self::levels(self::rules($configurations, true), $conditions, $runs)
                + ($goes === [] ? [] : [self::PRACTICE => new Level($goes, [], $runs - count($goes))]),
            from: $from, to: $to, runs: $runs, stoppedEarly: $stopped, others: $others,
            deviants: $deviants, off: $off,
        );
    }

    /**
     * @param array<string, array{intended: string, is: string, n: int}> $off grows by the conditions that were not as the method holds them
     */
    private static function off(array &$off, Configuration $made, Circumstances $c): void
    {
        foreach ($made->conditions as $rule) {
            foreach ($c->conditions[$rule->name] ?? [] as $text => $n) {
                if ($rule->isOff((string) $text)) {
                    $known = $off[$rule->name] ?? ['intended' => $rule->intended, 'is' => trim((string) $text), 'n' => 0];
                    $off[$rule->name] = ['n' => $known['n'] + $n] + $known;
                }
            }
        }
    }

    /**
     * @param array<array-key, array<array-key, int>> $all  grows by the counts of some
     * @param array<array-key, array<array-key, int>> $some by name: text => on how many runs
     */
    private static function count(array &$all, array $some): void
    {
        foreach ($some as $name => $texts) {
            foreach ($texts as $text => $n) {
                $all[$name][$text] = ($all[$name][$text] ?? 0) + $n;
            }
        }
    }

    /**
     * @param list<Configuration> $configurations of the runs, those of earlier ones first
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
     * @param array<array-key, array<array-key, int>> $recorded by name: text as recorded => on how many runs
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
                    array_push($numbers, ...array_fill(0, $count, $number));
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
