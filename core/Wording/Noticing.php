<?php

declare(strict_types=1);

namespace Lustrum\Core\Wording;

use Lustrum\Core\Footing\Context;
use Lustrum\Core\Footing\Difference;
use Lustrum\Core\Footing\FootingCheck;
use Lustrum\Core\Judging\Contexts;
use Lustrum\Core\Judging\Contradiction;
use Lustrum\Core\Judging\Contradictions;
use Lustrum\Core\Judging\Figure;
use Lustrum\Core\Quantity\Digits;
use Lustrum\Core\Run\Alikeness;
use Lustrum\Core\Run\RunFact;

/** What Lustrum notices about a run that the person at the bench may not know. */
final readonly class Noticing
{
    /** So many differences from the last good run stand in the sentence. */
    private const NAMED = 4;

    /** @param array<string, string> $names of metrics */
    public function __construct(
        private array $names,
    ) {
    }

    /**
     * @param array<string, array<string, int>> $seen  modes of this run's failures => letters of builds => times seen elsewhere
     * @param RunFact|null                      $good  the last run of this kind before it that held
     * @param array<string, Figure>             $soFar what the channels of its trial came to, by metric
     * @param bool                              $isSurprise what is out of place has been said before all this
     *
     * @return list<string> in sentences
     */
    public function about(RunFact $run, array $seen, ?RunFact $good, array $soFar, bool $isSurprise = false): array
    {
        return array_values(array_filter([
            ...self::recurrences($seen),
            ...self::contradictions($run, $soFar),
            ...($isSurprise ? [] : self::settings($run)),
            ...($run->failed() ? [$this->differences($run, $good)] : []),
            self::past($run),
            ...$this->soFar($soFar),
            self::missing($run),
        ], static fn (string $s): bool => $s !== ''));
    }

    /**
     * Conditions and settings that nobody recorded.
     *
     * @return list<string> their names
     */
    public static function unrecorded(RunFact $run): array
    {
        $missing = [];
        foreach (Alikeness::of($run)->unknown as $factor) {
            $missing[] = $factor;
        }
        foreach ([[$run->configuration->conditions, $run->conditions], [$run->configuration->settings, $run->settings]] as [$rules, $found]) {
            foreach ($rules as $rule) {
                // 'unknown' is a value: somebody looked, and could not say.
                if (trim($found[$rule->name] ?? '') === '') {
                    $missing[] = $rule->name;
                }
            }
        }

        return $missing;
    }

    /**
     * @param array<string, array<string, int>> $seen
     *
     * @return list<string>
     */
    private static function recurrences(array $seen): array
    {
        $out = [];
        foreach ($seen as $mode => $letters) {
            ksort($letters);
            $times = array_map(
                static fn (string|int $letter, int $n): string => Messages::say('notice.times', ['letter' => (string) $letter, 'n' => $n]),
                array_keys($letters), array_values($letters),
            );
            $out[] = Messages::say(
                $letters === [] ? 'notice.newMode' : 'notice.seenBefore', ['mode' => (string) $mode, 'times' => implode(', ', $times)],
            );
        }

        return $out;
    }

    /**
     * @param array<string, Figure> $soFar
     *
     * @return list<string> numbers that do not agree with each other
     */
    private static function contradictions(RunFact $run, array $soFar): array
    {
        return array_map(
            static fn (Contradiction $c): string => CheckWords::contradiction($c->relation, $c->doubted, $c->before),
            Contradictions::of($run, $soFar),
        );
    }

    /** @return list<string> settings that were not where they should be */
    private static function settings(RunFact $run): array
    {
        $out = [];
        foreach ($run->configuration->settings as $rule) {
            $text = $run->settings[$rule->name] ?? '';
            if ($rule->intended !== null && !$rule->isMeant($text)) {
                $out[] = Messages::say('notice.moved', [
                    'name' => Messages::begin($rule->name), 'found' => $text, 'intended' => Numbers::set($rule->intended, $rule->unit),
                    'tolerated' => $rule->tolerance !== null, 'tolerance' => Digits::short($rule->tolerance ?? 0.0),
                ]);
            }
        }

        return $out;
    }

    /** After a failure: what differs from the last run of this kind that held. */
    private function differences(RunFact $run, ?RunFact $good): string
    {
        if ($good === null) {
            return Messages::say('notice.noneHeld');
        }
        $metric = $good->readings[0]->metric ?? '';
        $context = fn (RunFact $r): Context => Contexts::ofRun($r, $metric, $this->names[$metric] ?? '');
        $found = array_filter(
            FootingCheck::between($context($good), $context($run))->differences,
            static fn (Difference $d): bool => $d->reason->isOfTheSetUp(),
        );
        $whys = array_map(static fn (Difference $d): string => Messages::inside(FootingWords::why($d)), array_values($found));
        $was = $good->configuration->letter;
        foreach (self::levels($good, $run) as $level) {
            array_unshift($whys, $level);
        }
        if ($good->revision !== $run->revision) {
            array_unshift($whys, Messages::say('notice.build', ['was' => $was, 'is' => $run->configuration->letter]));
        }

        return Messages::say('notice.against', [
            'number' => $good->number, 'letter' => $was,
            'any' => $whys !== [], 'whys' => implode('; ', array_slice($whys, 0, self::NAMED)),
        ]);
    }

    /** @return list<string> levels at which the two differ */
    private static function levels(RunFact $good, RunFact $run): array
    {
        [$was, $is] = [Alikeness::levels($good), Alikeness::levels($run)];
        $out = [];
        foreach ($is as $name => $level) {
            $before = $was[$name] ?? null;
            if ($level !== null && $before !== null && $level->key !== $before->key) {
                $out[] = Messages::say('notice.level', ['name' => (string) $name, 'was' => $before->text, 'is' => $level->text]);
            }
        }

        return $out;
    }

    private static function past(RunFact $run): string
    {
        if ($run->serial() === '' || $run->earlierRuns === 0) {
            return '';
        }

        return Messages::say('notice.past', ['serial' => $run->serial(), 'runs' => $run->earlierRuns, 'failures' => $run->earlierFailures]);
    }

    /**
     * @param array<string, Figure> $soFar by metric
     *
     * @return list<string> the mean so far of this trial's channels
     */
    private function soFar(array $soFar): array
    {
        $out = [];
        foreach ($soFar as $metric => $figure) {
            $out[] = Messages::say('notice.soFar', [
                'metric' => Messages::begin($this->names[$metric] ?? ''), 'n' => $figure->n, 'figure' => Numbers::figure($figure),
            ]);
        }

        return $out;
    }

    private static function missing(RunFact $run): string
    {
        $missing = array_map(mb_strtolower(...), self::unrecorded($run));

        return $missing === [] ? '' : Messages::say('notice.missing', ['names' => Messages::list($missing, 'list.or')]);
    }
}
