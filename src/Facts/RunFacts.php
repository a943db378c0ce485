<?php

declare(strict_types=1);

namespace Lustrum\Facts;

use Doctrine\DBAL\Connection;
use Lustrum\Core\Formula\Variable;
use Lustrum\Core\Outcome\ResultKind;
use Lustrum\Core\Quantity\Units;
use Lustrum\Core\Run\Answer;
use Lustrum\Core\Run\Channel;
use Lustrum\Core\Run\Configuration;
use Lustrum\Core\Run\CountsFor;
use Lustrum\Core\Run\Derivation;
use Lustrum\Core\Run\Ended;
use Lustrum\Core\Run\Hardness;
use Lustrum\Core\Run\Purpose;
use Lustrum\Core\Run\ReadingFact;
use Lustrum\Core\Run\Row;
use Lustrum\Core\Run\RunFact;
use Lustrum\Core\Run\RunOutcome;
use Lustrum\Core\Run\Severity;

/** Reads runs with their current readings, as the sums need them: two queries, whatever their number. */
final class RunFacts
{
    private const RUN = 'r.id, r.trial_id, t.name trial_name, t.repeats, t.method_id, t.revision_id, r.number, r.outcome, r.outcome_reason,
        r.started_at, r.operator, r.levels, r.conditions, r.settings, r.configuration, r.earlier_runs, r.earlier_failures, r.answers,
        r.ended, r.purpose, r.others, r.goes, ';

    private const READINGS = "(SELECT string_agg(concat_ws(E'\\x1f', g.channel, g.current_unit, g.current_si, coalesce(g.current_resolution, 0), coalesce(g.u, 0), CASE WHEN g.undecided THEN 'waits' ELSE g.bound END), E'\\x1e' ORDER BY g.created_at, g.channel)
         FROM reading g WHERE g.run_id = r.id AND g.withdrawn_because IS NULL)";

    /** Runs of a trial with so many numbers in a row are kept together. */
    public const STRETCH = 200;

    /** The stretch of a run r, as the database works it out. */
    public const STRETCH_OF = "r.trial_id || ':' || r.number / ".self::STRETCH;

    /** Between readings of a run, and between what is known of one: characters that no text of ours may hold. */
    private const BETWEEN = "\x1e";
    private const WITHIN = "\x1f";

    /** Stands for the bound of a reading that waits for its unit: it is used for nothing. */
    private const WAITS = 'waits';

    /** @var array<string, Configuration> by hash: runs in a row share theirs */
    private array $configurations = [];

    /** @var array<string, array{array<string, Channel>, bool}> by hash of the configuration */
    private array $channels = [];

    /** @var \WeakMap<Configuration, string> what each is stored under: an older way of summing up may have given it */
    public readonly \WeakMap $hashes;

    /** Runs that held, among which one as hard is looked for. */
    private const GOOD = 60;

    /** Runs that are gone through to see whether a result is a surprise. */
    private const BEFORE = 24;

    public function __construct(
        private readonly Connection $db,
    ) {
        /** @var \WeakMap<Configuration, string> $hashes */
        $hashes = new \WeakMap();
        $this->hashes = $hashes;
    }

    /**
     * @param list<string> $trials
     * @param list<string> $stretches of their numbers, as trial:number / STRETCH
     *
     * @return list<RunFact> finished ones, in the order in which they were made
     */
    public function ofStretches(array $trials, array $stretches): array
    {
        return $stretches === [] ? [] : $this->load(
            'r.trial_id = ANY(CAST(:trials AS uuid[])) AND '.self::STRETCH_OF.' = ANY(CAST(:stretches AS text[]))
             AND r.outcome IS NOT NULL AND r.withdrawn_because IS NULL',
            ['trials' => '{'.implode(',', $trials).'}', 'stretches' => '{'.implode(',', $stretches).'}'],
        );
    }

    /** @return list<RunFact> finished ones of a trial, in the order in which they were made */
    public function ofTrial(string $trial): array
    {
        return $this->load('r.trial_id = :id AND r.outcome IS NOT NULL AND r.withdrawn_because IS NULL', ['id' => $trial]);
    }

    /** One run, finished or not. */
    public function one(string $run): ?RunFact
    {
        return $this->load('r.id = :id', ['id' => $run])[0] ?? null;
    }

    /**
     * @param list<string> $ids
     *
     * @return list<RunFact>
     */
    public function these(array $ids): array
    {
        return $this->amongThese($ids, self::READINGS);
    }

    /**
     * @param list<string> $ids
     *
     * @return list<RunFact> without what they read
     */
    public function bare(array $ids): array
    {
        return $this->amongThese($ids, "''");
    }

    /**
     * @param list<string> $ids
     *
     * @return list<RunFact>
     */
    private function amongThese(array $ids, string $readings): array
    {
        return $ids === [] ? [] : $this->load(
            'r.id = ANY(CAST(:id AS uuid[])) AND r.outcome IS NOT NULL AND r.withdrawn_because IS NULL',
            ['id' => '{'.implode(',', $ids).'}'], $readings,
        );
    }

    /** What a later failure is held against: it held, and nothing is wrong with how it was made or tried. */
    public static function good(): string
    {
        return RunCounts::ended('r', RunOutcome::Held).' AND '.RunCounts::are('r', CountsFor::Result, CountsFor::Wear, CountsFor::Practice);
    }

    /** The newest run before one, of its method, that held at least as hard; null where none of the last ones did. */
    public function lastHeld(RunFact $run): ?RunFact
    {
        $ids = $this->db->fetchFirstColumn(
            'SELECT r.id FROM run r JOIN trial t ON t.id = r.trial_id
             WHERE t.method_id = ? AND '.self::good().' AND r.withdrawn_because IS NULL AND r.started_at <= ? AND r.id <> ?
             ORDER BY r.started_at DESC, r.number DESC LIMIT '.self::GOOD, [$run->method, $run->startedAt, $run->id],
        );
        $severity = Severity::ofRun($run);
        foreach (array_reverse($this->bare(array_map(Row::text(...), $ids))) as $good) {
            if (Severity::ofRun($good)->beside($severity) === Hardness::AtLeast) {
                return $this->one($good->id);
            }
        }

        return null;
    }

    /**
     * The last run of each method that held.
     *
     * @param list<string> $methods
     *
     * @return array<string, RunFact> by method; without those of which none did
     */
    public function lastHeldOf(array $methods): array
    {
        $ids = $methods === [] ? [] : $this->db->fetchFirstColumn(
            'SELECT DISTINCT ON (t.method_id) r.id FROM run r JOIN trial t ON t.id = r.trial_id
             WHERE t.method_id = ANY(CAST(? AS uuid[])) AND '.self::good().' AND r.withdrawn_because IS NULL
             ORDER BY t.method_id, r.started_at DESC, r.number DESC', ['{'.implode(',', $methods).'}'],
        );

        return array_column($this->bare(array_map(Row::text(...), $ids)), null, 'method');
    }

    /**
     * Results of a method before a moment, without what they read.
     *
     * @return list<RunFact> newest first
     */
    public function before(string $method, string $before, string $not): array
    {
        $ids = $this->db->fetchFirstColumn(
            'SELECT r.id FROM run r JOIN trial t ON t.id = r.trial_id
             WHERE t.method_id = ? AND '.RunCounts::are('r', CountsFor::Result).' AND r.withdrawn_because IS NULL AND r.started_at <= ?
               AND r.id <> ? ORDER BY r.started_at DESC, r.number DESC LIMIT '.self::BEFORE, [$method, $before, $not],
        );

        return array_reverse($this->bare(array_map(Row::text(...), $ids)));
    }

    /**
     * @param array<string, string> $with
     * @param string                $readings how the database puts together what they read
     *
     * @return list<RunFact>
     */
    private function load(string $where, array $with, string $readings = self::READINGS): array
    {
        $from = ' FROM run r JOIN trial t ON t.id = r.trial_id WHERE '.$where;
        $this->take('ANY(SELECT r.configuration'.$from.')', $with);
        $runs = $found = $texts = $given = [];
        // All rows at once: ten thousands of them come by here, and one by one they would cost more than what is done with them.
        foreach ($this->db->fetchAllNumeric(
            'SELECT '.self::RUN.SetAside::why('r').' aside, '.$readings.' readings'.$from.' ORDER BY r.started_at, r.number, r.id', $with,
        ) as $row) {
            [
                $id, $trial, $trialName, $repeats, $method, $build, $number, $outcome, $reason, $at, $operator, $levels, $conditions,
                $settings, $hash, $earlier, $failed, $answers, $ended, $purpose, $others, $goes, $aside, $read,
            ] = Row::cells($row);
            $configuration = $this->configurations[$hash];
            $outcome = RunOutcome::tryFrom($outcome);
            $leavesBound = Ended::tryFrom($ended)?->leavesBound() ?? $outcome === RunOutcome::StoppedEarly;
            $runs[] = new RunFact(
                $id, $texts[$trial] ??= $trial, $texts[$trialName] ??= $trialName, $texts[$method] ??= $method, $texts[$build] ??= $build,
                (int) $number, $outcome, $reason, $at, $texts[$operator] ??= $operator, $found[$levels] ??= Row::found($levels),
                $found[$conditions] ??= Row::found($conditions), $found[$settings] ??= Row::found($settings), $configuration,
                (int) $earlier, (int) $failed, $read === '' ? [] : $this->facts($hash, $leavesBound, $read),
                $repeats === 'untilItHolds', $given[$answers] ??= Answer::kept($answers), Purpose::from($purpose), $aside,
                $found[$others] ??= Row::found($others), $goes === '' ? null : (int) $goes, Ended::tryFrom($ended) === Ended::Felt,
                str_contains($read, self::WAITS) ? self::waiting($configuration, $read) : [],
            );
        }

        return $runs;
    }

    /**
     * What runs were made with, each once for all that share it.
     *
     * @param list<string> $hashes
     *
     * @return array<string, Configuration> by hash
     */
    public function configurations(array $hashes): array
    {
        $missing = array_values(array_diff($hashes, array_keys($this->configurations)));
        if ($missing !== []) {
            $this->take('ANY(CAST(:hashes AS text[]))', ['hashes' => '{'.implode(',', $missing).'}']);
        }

        return $this->configurations;
    }

    /** @param array<string, string> $with */
    private function take(string $which, array $with): void
    {
        foreach ($this->db->iterateNumeric(
            'SELECT c.hash, c.content FROM configuration c WHERE c.hash = '.$which, $with,
        ) as [$hash, $content]) {
            $key = Row::text($hash);
            $this->configurations[$key] ??= Configuration::fromRow(Row::json($content));
            $this->hashes[$this->configurations[$key]] = $key;
        }
    }

    /** @return list<ReadingFact> */
    private function facts(string $hash, bool $leavesBound, string $packed): array
    {
        $configuration = $this->configurations[$hash];
        [$channels, $derives] = $this->channels[$hash] ??= self::channels($configuration);
        $out = $readings = [];
        foreach (explode(self::BETWEEN, $packed) as $reading) {
            [$key, $unit, $si, $resolution, $u, $bound] = explode(self::WITHIN, $reading);
            $channel = $channels[$key] ?? null;
            if ($bound === self::WAITS) {
                continue;
            }
            if ($channel !== null) {
                $out[] = self::fact($channel, self::kind($bound, $channel, $leavesBound), $unit, (float) $si, (float) $resolution, (float) $u);
            }
            // Nothing is worked out from a bound: what comes of it could be a bound of either kind, or none.
            if ($derives && $bound === '') {
                $readings[] = [$key, $unit, (float) $si, max((float) $resolution, (float) $u)];
            }
        }

        return $derives ? [...$out, ...self::derived($configuration, $leavesBound, $readings)] : $out;
    }

    /** @return list<string> metrics whose reading waits for its unit */
    private static function waiting(Configuration $configuration, string $packed): array
    {
        $out = [];
        foreach (explode(self::BETWEEN, $packed) as $reading) {
            $of = explode(self::WITHIN, $reading);
            if (end($of) === self::WAITS) {
                $out[] = $configuration->channel($of[0])->metric ?? '';
            }
        }

        return array_values(array_unique(array_filter($out)));
    }

    /** @return array{array<string, Channel>, bool} by key, and whether any is worked out from others */
    private static function channels(Configuration $configuration): array
    {
        $derives = array_filter($configuration->channels, static fn (Channel $c): bool => $c->isDerived()) !== [];

        return [array_column($configuration->channels, null, 'key'), $derives];
    }

    /**
     * Whoever reads a whole number on an instrument that shows more leaves a nought out: the step is the instrument's.
     *
     * @param float $resolution of the typed digits, in $unit
     * @param float $u          standard uncertainty, in $unit
     */
    private static function fact(
        Channel $channel, ResultKind $kind, string $unit, float $si, float $resolution, float $u = 0.0,
    ): ReadingFact {
        $factor = Units::parse($unit)->factor;
        $step = $channel->resolution === null || $channel->isDerived()
            ? $resolution * $factor : $channel->resolution * Units::parse($channel->unit)->factor;

        return new ReadingFact($channel->key, $channel->metric, $unit, $si, max($step, $u * $factor), $kind, $channel->instrument);
    }

    /** A bound that somebody read, or what the end of the run makes of the value. */
    private static function kind(string $bound, Channel $channel, bool $leavesBound): ResultKind
    {
        return ResultKind::tryFrom($bound) ?? ($leavesBound ? $channel->whenStopped : ResultKind::Equal);
    }

    /**
     * The channels that are worked out.
     *
     * @param list<array{string, string, float, float}> $readings
     *
     * @return list<ReadingFact>
     */
    private static function derived(Configuration $configuration, bool $leavesBound, array $readings): array
    {
        $variables = [];
        foreach ($readings as [$key, $unit, $si, $resolution]) {
            $variables[$key] = Variable::si($si, $unit, $resolution);
        }
        $out = [];
        foreach (Derivation::of($configuration->channels, Derivation::onFixture($variables, $configuration)) as $result) {
            if ($result->value !== null) {
                $channel = $result->channel;
                // What can be told of it is of the size of its uncertainty.
                $out[] = self::fact(
                    $channel, self::kind('', $channel, $leavesBound), $channel->unit,
                    Units::parse($channel->unit)->toSi($result->value), $result->u ?? 0.0,
                );
            }
        }

        return $out;
    }
}
