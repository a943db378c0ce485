<?php

declare(strict_types=1);

namespace Lustrum\Core\Wording;

use Lustrum\Core\Footing\Context;
use Lustrum\Core\Footing\Difference;
use Lustrum\Core\Footing\FootingCheck;
use Lustrum\Core\Footing\Reason;
use Lustrum\Core\Judging\Contexts;
use Lustrum\Core\Judging\Contradiction;
use Lustrum\Core\Judging\Contradictions;
use Lustrum\Core\Judging\Difference as Edit;
use Lustrum\Core\Judging\Differences;
use Lustrum\Core\Judging\Figure;
use Lustrum\Core\Quantity\Digits;
use Lustrum\Core\Run\Alikeness;
use Lustrum\Core\Run\Configuration;
use Lustrum\Core\Run\Deviation;
use Lustrum\Core\Run\RunFact;

/** What Lustrum notices about a run that the person at the bench may not know. */
final readonly class Noticing
{
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
            ...self::lacks($run),
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
            static fn (Difference $d): bool => $d->reason->isOfTheSetUp() && $d->reason !== Reason::Deviates,
        );
        $whys = [
            ...self::made($good->configuration, $run->configuration), ...self::levels($good, $run),
            ...array_map(static fn (Difference $d): string => Messages::inside(FootingWords::why($d)), array_values($found)),
        ];

        return Messages::say('notice.against', [
            'number' => $good->number, 'letter' => $good->configuration->letter, 'any' => $whys !== [], 'whys' => implode('; ', $whys),
        ]);
    }

    /** @return list<string> in what the two were made with: article, what it has otherwise, variant, build, and what of it changed */
    private static function made(Configuration $was, Configuration $is): array
    {
        $out = [];
        foreach ([
            'article' => [$was->serial, $is->serial], 'variant' => [$was->arm, $is->arm], 'build' => [$was->letter, $is->letter],
        ] as $what => [$before, $now]) {
            if ($before !== $now) {
                $out[$what] = Messages::say(
                    'notice.'.$what, ['was' => $before === '' ? '–' : $before, 'is' => $now === '' ? '–' : $now],
                );
            }
        }
        $said = static fn (Deviation $d): string => trim($d->name.' '.$d->value);
        $own = [
            ...array_map(
                static fn (Deviation $d): string => Messages::say('notice.own', ['serial' => $is->serial, 'said' => $said($d)]),
                array_filter($is->deviants, static fn (Deviation $d): bool => !$d->isAmong($was->deviants)),
            ),
            ...array_map(
                static fn (Deviation $d): string => Messages::say('notice.noLonger', ['serial' => $was->serial, 'said' => $said($d)]),
                array_filter($was->deviants, static fn (Deviation $d): bool => !$d->isAmong($is->deviants)),
            ),
        ];

        return [
            ...array_values(array_intersect_key($out, ['article' => true])), ...array_values($own),
            ...array_values(array_diff_key($out, ['article' => true])),
            // Firmware stands among the circumstances below.
            ...array_map(EvidenceWords::difference(...), array_values(array_filter(
                Differences::made($was, $is), static fn (Edit $d): bool => $d->kind !== 'firmware',
            ))),
        ];
    }

    /**
     * In what a run that begins now would be made otherwise than one that held, before anything of it was found.
     *
     * @return list<string>
     */
    public static function otherwise(Configuration $was, Configuration $is): array
    {
        $found = array_filter(
            FootingCheck::between(Contexts::ofMade($was), Contexts::ofMade($is))->differences,
            static fn (Difference $d): bool => $d->reason->isOfWhatItIs(),
        );

        return [...self::made($was, $is), ...array_map(
            static fn (Difference $d): string => Messages::inside(FootingWords::why($d)), array_values($found),
        )];
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

    /** @return list<string> what an ended run cannot be judged by, since nobody said it */
    private static function lacks(RunFact $run): array
    {
        if ($run->outcome === null || !$run->says()) {
            return [];
        }
        $levels = Alikeness::of($run)->unknown;

        return [
            ...($levels === [] ? [] : [Messages::say('notice.noLevel', ['n' => count($levels), 'names' => Messages::list($levels)])]),
            ...($run->serial() !== '' || $run->configuration->articleState !== '' ? [] : [Messages::say('notice.noArticle')]),
        ];
    }
}
