<?php

declare(strict_types=1);

namespace Lustrum\Facts;

use Doctrine\DBAL\Connection;
use Lustrum\Core\Failure\ByHand;
use Lustrum\Core\Judging\FailureFact;
use Lustrum\Core\Judging\OutsideUse;
use Lustrum\Core\Run\Factor;
use Lustrum\Core\Run\Row;
use Lustrum\Core\Run\RunFact;
use Lustrum\Core\Run\Severity;
use Lustrum\Core\Wording\AccountWords;
use Lustrum\Shared\NamedLines;

/** Reads all failures of a device, with how hard each was. */
final readonly class FailureFacts
{
    public function __construct(
        private Connection $db,
        private RunFacts $runs,
    ) {
    }

    /**
     * @param list<string> $builds
     *
     * @return array<string, list<FailureFact>> of these builds of a device, by build, oldest first
     */
    public function ofBuilds(string $device, array $builds): array
    {
        $rows = $this->db->fetchAllAssociative(
            'SELECT f.id, f.revision_id, f.mode, f.place, f.run_id, f.method_id, f.question, f.levels, f.feared, f.consequence, f.created_at,
                    f.consequence_of_id, a.state article_state, a.serial,
                    (SELECT json_build_array(h.id, h.created_by, h.brought_in_by, h.why, h.created_at::text) FROM closing_by_hand h
                        WHERE h.failure_id = f.id AND h.withdrawn_because IS NULL ORDER BY h.created_at DESC, h.id DESC LIMIT 1) by_hand,
                    (SELECT c.text FROM cause c WHERE c.failure_id = f.id AND '.SetAside::does('c').' ORDER BY c.created_at LIMIT 1) aside
             FROM failure f LEFT JOIN article a ON a.id = f.article_id
             WHERE f.revision_id = ANY(CAST(? AS uuid[])) AND f.withdrawn_because IS NULL ORDER BY f.created_at, f.id',
            ['{'.implode(',', $builds).'}'],
        );
        $runs = [];
        foreach ($this->runs->bare(array_values(array_filter(array_map(
            static fn (array $row): string => Row::text($row['run_id']), $rows,
        ), static fn (string $id): bool => $id !== ''))) as $run) {
            $runs[$run->id] = $run;
        }
        $methods = $this->methods($device);

        $out = array_fill_keys($builds, []);
        $known = [];
        foreach ($rows as $row) {
            $run = $runs[Row::text($row['run_id'])] ?? null;
            $severity = $this->severity($row, $run, $methods);
            // Hundreds of failures were as hard as one of a few: they share it.
            $shared = $severity === null ? null : $known[$severity->inShort()] ??= $severity;
            $out[Row::text($row['revision_id'])][] = $this->fact($row, $run, $shared);
        }

        return $out;
    }

    /**
     * @param array<string, mixed>                                     $row
     * @param array<string, array{string, list<string>, list<Factor>}> $methods
     */
    private function severity(array $row, ?RunFact $run, array $methods): ?Severity
    {
        $method = $methods[Row::text($row['method_id'])] ?? null;
        $levels = [];
        foreach (Row::rows(Row::json($row['levels'])) as $level) {
            $levels[Row::text($level['name'] ?? '')] = Row::text($level['text'] ?? '');
        }

        return match (true) {
            $run !== null => Severity::ofRun($run),
            $method !== null => Severity::typed(
                Row::text($row['method_id']), $method[0], $method[1], $method[2], $levels, Row::text($row['article_state']),
            ),
            default => null,
        };
    }

    /** @param array<string, mixed> $row */
    private function fact(array $row, ?RunFact $run, ?Severity $severity): FailureFact
    {
        return new FailureFact(
            Row::text($row['id']), Row::text($row['revision_id']), Row::text($row['mode']), Row::text($row['place']),
            $run?->order() ?? Row::text($row['created_at']), $severity, Row::text($row['question']),
            $run === null ? '' : $this->runs->hashes[$run->configuration], $row['consequence_of_id'] !== null,
            // What failed in a run goes with it; outside one its own cause says.
            $run->aside ?? Row::textOrNull($row['aside']) ?? '',
            Row::text($row['serial']), (bool) $row['feared'], $row['consequence'] === 'dangerous', Row::text($row['created_at']), self::byHand($row['by_hand']),
        );
    }

    private static function byHand(mixed $row): ?ByHand
    {
        if ($row === null) {
            return null;
        }
        [$id, $by, $broughtIn, $why, $at] = array_map(Row::text(...), array_pad(array_values(Row::json($row)), 5, ''));

        return new ByHand($id, AccountWords::author($by, $broughtIn), $why, $at);
    }

    /** @return list<OutsideUse> of all articles of a device, of those in which a mode would have shown and did not */
    public function outside(string $device): array
    {
        $methods = [];
        foreach ($this->methods($device) as $id => [$name, $represents, $factors]) {
            $methods[$name] = [$id, $represents, $factors];
        }
        $out = [];
        foreach ($this->db->fetchAllNumeric(
            "SELECT revision_id, state, uses FROM article WHERE belongs_to = ? AND withdrawn_because IS NULL AND uses::text <> '[]'
             ORDER BY created_at, id", [$device],
        ) as [$build, $state, $uses]) {
            foreach (Row::rows(Row::json($uses)) as $use) {
                $name = Row::text($use['method'] ?? '');
                [$id, $represents, $factors] = $methods[$name] ?? ['', [], []];
                $without = array_map(FailureFact::keyOf(...), Row::texts($use['without'] ?? []));
                $levels = NamedLines::of(Row::texts($use['levels'] ?? []));
                $out[] = new OutsideUse(
                    Row::text($build), $id === '' ? null : Severity::typed($id, $name, $represents, $factors, $levels, Row::text($state)),
                    Row::text($use['howLong'] ?? ''), $without,
                );
            }
        }

        return array_values(array_filter($out, static fn (OutsideUse $u): bool => $u->without !== []));
    }

    /** @return array<string, array{string, list<string>, list<Factor>}> name, what it represents, and factors, by method */
    private function methods(string $device): array
    {
        $out = [];
        foreach ($this->db->fetchAllNumeric('SELECT id, name, represents, factors FROM method WHERE device_id = ?', [$device]) as $row) {
            [$id, $name, $represents, $factors] = Row::cells($row);
            $out[$id] = [$name, Row::texts(Row::json($represents)), array_map(Factor::fromRow(...), Row::rows(Row::json($factors)))];
        }

        return $out;
    }

    /**
     * The first of each mode and place on each of these builds, for choosing from: without how hard they were, or where they stand.
     *
     * @param list<string> $builds
     *
     * @return list<array{id: string, build: string, mode: string, place: string}> oldest first
     */
    public function toPick(array $builds): array
    {
        $out = [];
        foreach ($this->db->fetchAllNumeric(
            'SELECT id, revision_id, mode, place FROM (
                SELECT DISTINCT ON (revision_id, lower(trim(mode)), place) id, revision_id, mode, place, created_at FROM failure
                WHERE revision_id = ANY(CAST(? AS uuid[])) AND withdrawn_because IS NULL
                ORDER BY revision_id, lower(trim(mode)), place, created_at, id) f ORDER BY created_at, id', ['{'.implode(',', $builds).'}'],
        ) as $row) {
            [$id, $build, $mode, $place] = Row::cells($row);
            $out[] = ['id' => $id, 'build' => $build, 'mode' => $mode, 'place' => $place];
        }

        return $out;
    }

    /**
     * What failed on a build itself, and says something of its design: nothing on the same build can have closed it.
     *
     * @return array<string, list<string>> modes by method
     */
    public function openOn(string $build): array
    {
        $out = [];
        foreach ($this->db->fetchAllNumeric(
            // A few hundred failures among many thousand runs: each is looked up.
            'SELECT coalesce(t.method_id, f.method_id), min(f.mode) FROM failure f
             LEFT JOIN LATERAL (SELECT id, trial_id, set_aside, taken_in FROM run WHERE id = f.run_id OFFSET 0) r ON true
             LEFT JOIN trial t ON t.id = r.trial_id
             WHERE f.revision_id = ? AND f.withdrawn_because IS NULL AND NOT f.feared AND f.consequence_of_id IS NULL
               AND coalesce(t.method_id, f.method_id) IS NOT NULL AND '.SetAside::why('r')." = ''
               AND (r.id IS NOT NULL OR NOT EXISTS (SELECT 1 FROM cause c WHERE c.failure_id = f.id AND ".SetAside::does('c').'))
             GROUP BY 1, lower(trim(f.mode)) ORDER BY 1, 2', [$build],
        ) as [$method, $mode]) {
            $out[Row::text($method)][] = Row::text($mode);
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
                  AND NOT o.feared AND o.consequence_of_id IS NULL
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
            'SELECT f.revision_id, count(*) FROM failure f LEFT JOIN run r ON r.id = f.run_id
             WHERE f.belongs_to = ? AND f.withdrawn_because IS NULL AND NOT f.feared AND f.consequence_of_id IS NULL
             AND (r.id IS NULL OR NOT '.SetAside::is('r').') AND NOT EXISTS (SELECT 1 FROM cause c WHERE c.failure_id = f.id AND c.withdrawn_because IS NULL) GROUP BY 1', [$device],
        ));
    }

    /** @return array{modes: list<string>, places: list<string>} words known on a device, for choosing from */
    public function known(string $device): array
    {
        $words = fn (string $field): array => array_map(Row::text(...), $this->db->fetchFirstColumn(
            'SELECT DISTINCT '.$field.' FROM failure WHERE belongs_to = ? AND withdrawn_because IS NULL AND '.$field." <> '' ORDER BY 1 LIMIT 300",
            [$device],
        ));

        return ['modes' => $words('mode'), 'places' => $words('place')];
    }
}
