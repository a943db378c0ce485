<?php

declare(strict_types=1);

namespace Lustrum\Facts;

use Doctrine\DBAL\Connection;
use Lustrum\Core\Run\Row;
use Lustrum\Core\Run\RunFact;

/** The runs of a build, kept stretch by stretch: a write to a run has its own stretch read again, and no other. */
final readonly class KeptRuns
{
    private const PACKS = 'runs';

    public function __construct(
        private Connection $db,
        private RunFacts $facts,
        private Summaries $summaries,
    ) {
    }

    /** The stretch that a run lies in. */
    public static function stretch(string $trial, int $number): string
    {
        return $trial.':'.intdiv($number, RunFacts::STRETCH);
    }

    /**
     * @param int          $counter of the device, read before anything else of it
     * @param list<string> $builds
     *
     * @return array<string, list<string>> by build its stretches that hold finished runs, and whose trial is not withdrawn
     */
    public function stretchesOf(string $device, int $counter, array $builds): array
    {
        return $this->summaries->byBuild($device, $counter, Summaries::STRETCHES, $builds, function (array $missing): array {
            $out = array_fill_keys($missing, []);
            foreach ($this->db->fetchAllNumeric(
                'SELECT DISTINCT t.revision_id, '.RunFacts::STRETCH_OF.' FROM run r JOIN trial t ON t.id = r.trial_id
                 WHERE t.revision_id = ANY(CAST(? AS uuid[])) AND t.withdrawn_because IS NULL AND r.outcome IS NOT NULL
                   AND r.withdrawn_because IS NULL ORDER BY 1, 2',
                ['{'.implode(',', $missing).'}'],
            ) as [$build, $stretch]) {
                $out[Row::text($build)][] = Row::text($stretch);
            }

            return $out;
        });
    }

    /**
     * @param list<string> $stretches of the build
     *
     * @return array<string, list<RunFact>> finished ones, by stretch
     */
    public function byStretch(string $device, int $counter, string $build, array $stretches): array
    {
        $out = array_fill_keys($stretches, []);
        foreach ($this->ofStretches($device, $counter, $build, $stretches) as $run) {
            $out[self::stretch($run->trial, $run->number)][] = $run;
        }

        return $out;
    }

    /**
     * @param int          $counter   of the device, read before anything else of it
     * @param list<string> $stretches of the build
     *
     * @return list<RunFact> finished ones, in the order in which they were made
     */
    public function ofStretches(string $device, int $counter, string $build, array $stretches): array
    {
        $packs = [];
        foreach ($this->summaries->ofParts($device, self::PACKS, $stretches) as $stretch => $pack) {
            if ($pack instanceof RunPack) {
                $packs[$stretch] = $pack;
            }
        }
        $runs = $this->missing($device, $counter, $build, array_values(array_diff($stretches, array_keys($packs))));
        if ($packs === []) {
            return $runs;
        }
        $trials = $this->trials($build);
        $configurations = $this->facts->configurations(array_merge(...array_column($packs, 'hashes')));
        foreach ($packs as $stretch => $pack) {
            $trial = self::trial($stretch);
            [$name, $untilItHolds] = $trials[$trial];
            array_push($runs, ...$pack->open($trial, $name, $untilItHolds, $build, $configurations));
        }

        return self::inOrder($runs);
    }

    public static function trial(string $stretch): string
    {
        return explode(':', $stretch)[0];
    }

    /**
     * @param list<string> $stretches
     *
     * @return list<RunFact>
     */
    private function missing(string $device, int $counter, string $build, array $stretches): array
    {
        $runs = $packs = [];
        $of = array_fill_keys($stretches, []);
        foreach ($this->facts->ofStretches(array_map(self::trial(...), $stretches), $stretches) as $run) {
            $runs[] = $of[self::stretch($run->trial, $run->number)][] = $run;
        }
        foreach ($of as $stretch => $some) {
            $packs[$stretch] = RunPack::of($some, $this->facts->hashes);
        }
        $this->summaries->keepParts($device, $counter, self::PACKS, [$build], $packs);

        return $runs;
    }

    /** @return array<string, array{string, bool}> name, and whether it is repeated until it holds, by trial */
    private function trials(string $build): array
    {
        $out = [];
        $rows = $this->db->fetchAllNumeric('SELECT id, name, repeats FROM trial WHERE revision_id = ?', [$build]);
        foreach ($rows as [$id, $name, $repeats]) {
            $out[Row::text($id)] = [Row::text($name), $repeats === 'untilItHolds'];
        }

        return $out;
    }

    /**
     * By time, number and identifier, as the database orders them.
     *
     * @param list<RunFact> $runs
     *
     * @return list<RunFact>
     */
    private static function inOrder(array $runs): array
    {
        $keys = array_map(static fn (RunFact $r): string => $r->order(), $runs);
        array_multisort($keys, SORT_STRING, $runs);

        return $runs;
    }
}
