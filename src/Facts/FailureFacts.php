<?php

declare(strict_types=1);

namespace Lustrum\Facts;

use Doctrine\DBAL\Connection;
use Lustrum\Core\Judging\FailureFact;
use Lustrum\Core\Run\Row;

/** Reads all failures of a device together with how often each build was tried. */
final readonly class FailureFacts
{
    public function __construct(
        private Connection $db,
    ) {
    }

    /** @return list<FailureFact> of a device, oldest first */
    public function all(string $device): array
    {
        $failures = [];
        foreach ($this->db->fetchAllNumeric(
            'SELECT f.id, f.revision_id, f.mode, f.place, t.method_id FROM failure f
             LEFT JOIN run r ON r.id = f.run_id LEFT JOIN trial t ON t.id = r.trial_id
             WHERE f.belongs_to = ? AND f.withdrawn_because IS NULL ORDER BY f.created_at, f.id', [$device],
        ) as [$id, $build, $mode, $place, $method]) {
            $failures[] = new FailureFact(Row::text($id), Row::text($build), Row::text($mode), Row::text($place), Row::textOrNull($method));
        }

        return $failures;
    }

    /**
     * How often builds were tried.
     *
     * @param list<string> $builds
     *
     * @return array<string, array{array<string, int>, array<string, int>}> by build: runs by method that held, and that said something
     */
    public function tried(array $builds): array
    {
        $out = array_fill_keys($builds, [[], []]);
        foreach ($this->db->fetchAllNumeric(
            "SELECT t.revision_id, t.method_id, count(*) FILTER (WHERE r.outcome = 'held'), count(*) FROM run r JOIN trial t ON t.id = r.trial_id
             WHERE t.revision_id = ANY(CAST(? AS uuid[])) AND r.withdrawn_because IS NULL AND t.withdrawn_because IS NULL
               AND r.outcome IS NOT NULL AND r.outcome NOT IN ('void', 'lost') GROUP BY 1, 2", ['{'.implode(',', $builds).'}'],
        ) as [$build, $method, $h, $s]) {
            $out[Row::text($build)][0][Row::text($method)] = Row::whole($h);
            $out[Row::text($build)][1][Row::text($method)] = Row::whole($s);
        }

        return $out;
    }

    /**
     * Where the modes of a run's failures were seen before.
     *
     * @return array<string, array<string, int>> mode => letters of builds => times, without those of this run
     */
    public function seenElsewhere(string $device, string $run): array
    {
        $out = [];
        foreach ($this->db->fetchAllNumeric(
            'SELECT f.mode, v.letter, count(o.id) FROM failure f
             LEFT JOIN failure o ON o.belongs_to = f.belongs_to AND lower(o.mode) = lower(f.mode) AND o.id <> f.id AND o.withdrawn_because IS NULL
             LEFT JOIN revision v ON v.id = o.revision_id
             WHERE f.belongs_to = ? AND f.run_id = ? AND f.withdrawn_because IS NULL GROUP BY f.id, f.mode, v.letter ORDER BY f.mode', [$device, $run],
        ) as [$mode, $letter, $n]) {
            $out[Row::text($mode)] ??= [];
            if ($letter !== null) {
                $out[Row::text($mode)][Row::text($letter)] = Row::whole($n);
            }
        }

        return $out;
    }

    /**
     * What runs were, without loading what they were made with.
     *
     * @param list<string> $runs
     *
     * @return array<string, array{number: int, trial: string, method: string, serial: string}> by run: its number, the name of its
     *     trial, the identifier of its method, and the serial of its article where it had one
     */
    public function happenedOn(array $runs): array
    {
        $out = [];
        foreach ($runs === [] ? [] : $this->db->fetchAllNumeric(
            'SELECT r.id, r.number, t.name, t.method_id, a.serial FROM run r JOIN trial t ON t.id = r.trial_id
             LEFT JOIN article a ON a.id = r.article_id WHERE r.id = ANY(CAST(? AS uuid[]))', ['{'.implode(',', $runs).'}'],
        ) as [$id, $number, $trial, $method, $serial]) {
            $out[Row::text($id)] = [
                'number' => Row::whole($number), 'trial' => Row::text($trial), 'method' => Row::text($method),
                'serial' => Row::text($serial),
            ];
        }

        return $out;
    }

    /** @return array<string, int> failures for which nobody has suspected a cause yet, by build */
    public function withoutCause(string $device): array
    {
        return array_map(Row::whole(...), $this->db->fetchAllKeyValue(
            'SELECT f.revision_id, count(*) FROM failure f WHERE f.belongs_to = ? AND f.withdrawn_because IS NULL
             AND NOT EXISTS (SELECT 1 FROM cause c WHERE c.failure_id = f.id AND c.withdrawn_because IS NULL) GROUP BY 1', [$device],
        ));
    }

    /** @return array{modes: list<string>, places: list<string>} words known on a device, for choosing from */
    public function known(string $device): array
    {
        $words = fn (string $field): array => array_map(Row::text(...), $this->db->fetchFirstColumn(
            'SELECT DISTINCT '.$field.' FROM failure WHERE belongs_to = ? AND withdrawn_because IS NULL AND '.$field." <> '' ORDER BY 1 LIMIT 300", [$device],
        ));

        return ['modes' => $words('mode'), 'places' => $words('place')];
    }
}
