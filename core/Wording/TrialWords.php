<?php

declare(strict_types=1);

namespace Lustrum\Core\Wording;

use Lustrum\Core\Judging\TrialPlan;
use Lustrum\Core\Judging\TrialResults;
use Lustrum\Core\Run\CountsFor;
use Lustrum\Core\Run\RunOutcome;
use Lustrum\Core\Run\RunTally;

/** Sentences about trials and runs. */
final class TrialWords
{
    /**
     * @param array<string, string> $names of metrics
     * @param list<string>          $rated metrics that people rate: while it goes on nobody who is about to rate is told
     * @param bool                  $isSoFar is it before its planned number of runs?
     *
     * @return list<string> what a trial measured so far
     */
    public static function results(TrialResults $r, array $names, array $rated = [], bool $isSoFar = false): array
    {
        $known = array_values(array_filter($r->metrics, static fn (array $m): bool => !$isSoFar || !in_array($m['metric'], $rated, true)));
        $out = $isSoFar && ($known !== [] || $r->shares !== []) ? [Messages::say('trial.soFar')] : [];
        if (count($known) < count($r->metrics)) {
            $out[] = Messages::say('trial.rated');
        }
        foreach ($known as ['metric' => $metric, 'level' => $level, 'figure' => $figure, 'bounds' => $bounds, 'states' => $states]) {
            $with = [
                'metric' => $names[$metric] ?? '', 'bounds' => $bounds, 'at' => $level !== '', 'level' => $level, 'states' => $states,
            ];
            $out[] = $figure === null ? Messages::say('trial.onlyBounds', $with) : Messages::say(
                'trial.result', $with + ['figure' => Numbers::figure($figure)],
            );
        }
        $isOne = count(array_unique(array_column($r->shares, 'metric'))) < 2;
        foreach ($r->shares as $share) {
            ['level' => $level, 'held' => $held, 'failed' => $failed, 'mayFail' => $mayFail] = $share;
            $out[] = Messages::say('trial.share', [
                'named' => !$isOne, 'metric' => $names[$share['metric']] ?? '', 'states' => $share['states'],
                'stood' => $share['stood'], 'fell' => $share['states'] - $share['stood'],
                'held' => $held, 'n' => $held + $failed, 'at' => $level !== '', 'level' => $level,
                'low' => Numbers::percent((float) $mayFail->low), 'high' => Numbers::percent((float) $mayFail->high),
            ]);
        }
        if ($r->aside > 0) {
            $out[] = Messages::say('trial.aside', ['n' => $r->aside, 'why' => Messages::inside($r->asideFor)]);
        }

        return $out;
    }

    /**
     * Of what is planned the results are counted; what else was run is said beside them.
     *
     * @param string $width to which half-width a mean is to be known, as it was typed; empty: none
     * @param int    $first runs of its first stage
     */
    public static function count(RunTally $runs, TrialPlan $plan, bool $stoppedAtFirstSuccess, string $width, int $first): string
    {
        $beside = array_filter(
            self::parts($runs, CountsFor::Wear, CountsFor::Practice, CountsFor::Aside, CountsFor::Lost, CountsFor::Void, CountsFor::Open),
        );

        return Messages::say('trial.count', [
            'runs' => $plan->planned === 0 ? $runs->all() : min($runs->results(), $plan->planned), 'planned' => $plan->planned,
            'more' => max(0, $runs->results() - $plan->planned),
            'beside' => $beside === [] ? '' : ', '.implode(', ', $beside), 'first' => $stoppedAtFirstSuccess,
            'width' => ltrim($width, '± '), 'until' => match (true) {
                $width === '' => 'none',
                $plan->ended < $first => 'first',
                $plan->planned === 0 => 'open',
                default => 'told',
            },
        ]);
    }

    /** How far the planned number is, and when it is enough. */
    public static function enough(TrialPlan $plan, bool $isOpen): string
    {
        return Messages::say('trial.enough', [
            'ended' => $plan->ended, 'planned' => $plan->planned, 'reached' => $plan->isReached,
            'last' => $isOpen && $plan->ended + 1 === $plan->planned,
        ]);
    }

    public static function sentence(string $letter, int $trials, RunTally $runs): string
    {
        if ($trials === 0) {
            return Messages::say('trial.untried', ['letter' => $letter]);
        }
        $parts = [];
        foreach (RunOutcome::cases() as $outcome) {
            $n = $runs->number(CountsFor::Result, $outcome);
            $parts[] = $n === 0 ? '' : Messages::say('trial.ended', ['outcome' => $outcome->value, 'n' => $n]);
        }
        $parts = array_filter([...$parts, ...self::parts(
            $runs, CountsFor::Wear, CountsFor::Practice, CountsFor::Aside, CountsFor::Lost, CountsFor::Void, CountsFor::Open,
        )]);

        return Messages::say('trial.sentence', [
            'letter' => $letter, 'runs' => $runs->all(), 'trials' => $trials, 'any' => $parts !== [],
            'parts' => implode(', ', $parts),
        ]);
    }

    /** @return list<string> how many of the runs count for each of these; empty where none does */
    private static function parts(RunTally $runs, CountsFor ...$for): array
    {
        return array_values(array_map(static fn (CountsFor $f): string => $runs->number($f) === 0 ? '' : Messages::say(
            'trial.part', ['for' => $f->value, 'n' => $runs->number($f)],
        ), $for));
    }

    /** @param bool $leavesBound did it end before what it waited for came? */
    public static function run(
        int $number, string $trial, string $letter, string $serial, ?RunOutcome $outcome, string $reason, bool $leavesBound,
        string $state = '',
    ): string {
        return Messages::say('trial.run', [
            'bound' => $leavesBound, 'number' => $number, 'trial' => $trial, 'letter' => $letter,
            'with' => $serial !== '', 'serial' => $serial, 'state' => $state,
            'outcome' => $outcome === null ? 'none' : $outcome->value, 'reason' => Messages::inside($reason),
        ]);
    }

    public static function countsFor(CountsFor $for): string
    {
        return Messages::say('trial.countsFor', ['for' => $for->value]);
    }

    public static function outcome(?RunOutcome $outcome): string
    {
        return Messages::say('trial.outcome', ['outcome' => $outcome === null ? 'none' : $outcome->value]);
    }
}
