<?php

declare(strict_types=1);

namespace Lustrum\Facts;

use Doctrine\DBAL\Connection;
use Lustrum\Core\Run\Row;
use Lustrum\Core\Run\RunOutcome;

/** Reads what the brief hangs on: what runs went through, which of them bear on a belief, and what people did. */
final readonly class BriefFacts
{
    /** So many of the runs that ended last can be picked as a finding. */
    private const RECENT = 40;

    private const RUNS = 'SELECT r.id, t.name trial, r.number, v.letter FROM run r JOIN trial t ON t.id = r.trial_id
        JOIN revision v ON v.id = t.revision_id WHERE r.belongs_to = ? AND r.outcome IS NOT NULL AND NOT %s
        AND r.withdrawn_because IS NULL';

    public function __construct(
        private Connection $db,
    ) {
    }

    private static function ended(): string
    {
        return sprintf(self::RUNS, RunCounts::ended('r', RunOutcome::Void));
    }

    /**
     * Builds whose runs went through each step of use. A run that was stopped, lost or void did not go through all of them.
     *
     * @return array<string, list<string>> identifiers of builds, by step
     */
    public function walked(string $device): array
    {
        $out = [];
        foreach ($this->db->fetchAllAssociative(
            'SELECT DISTINCT s.step, t.revision_id FROM method m CROSS JOIN LATERAL jsonb_array_elements_text(m.steps) s (step)
             JOIN trial t ON t.method_id = m.id AND t.withdrawn_because IS NULL
             WHERE m.belongs_to = ? AND EXISTS (SELECT 1 FROM run r WHERE r.trial_id = t.id
                AND r.withdrawn_because IS NULL AND '.RunCounts::ended('r', RunOutcome::Held, RunOutcome::Failed).')', [$device],
        ) as $row) {
            $out[Row::text($row['step'])][] = Row::text($row['revision_id']);
        }

        return $out;
    }

    /** @return array<string, string> names of the steps of use by identifier, in their order */
    public function steps(string $device): array
    {
        return array_map(Row::text(...), $this->db->fetchAllKeyValue(
            'SELECT id, name FROM use_step WHERE belongs_to = ? AND withdrawn_because IS NULL ORDER BY place, created_at, id', [$device],
        ));
    }

    /** @return list<array{id: string, trial: string, number: int, letter: string}> the runs that ended last, newest first */
    public function recentRuns(string $device): array
    {
        return array_map(self::run(...), $this->db->fetchAllAssociative(
            self::ended().' ORDER BY r.started_at DESC, t.name, r.number DESC LIMIT '.self::RECENT, [$device],
        ));
    }

    /**
     * @param list<string> $ids
     *
     * @return array<string, array{id: string, trial: string, number: int, letter: string}> by identifier; void and withdrawn ones left out
     */
    public function runs(string $device, array $ids): array
    {
        $rows = $ids === [] ? [] : $this->db->fetchAllAssociative(
            self::ended().' AND r.id = ANY(CAST(? AS uuid[]))', [$device, '{'.implode(',', $ids).'}'],
        );

        return array_column(array_map(self::run(...), $rows), null, 'id');
    }

    /**
     * @param array<string, mixed> $row
     *
     * @return array{id: string, trial: string, number: int, letter: string}
     */
    private static function run(array $row): array
    {
        return [
            'id' => Row::text($row['id']), 'trial' => Row::text($row['trial']), 'number' => Row::whole($row['number']),
            'letter' => Row::text($row['letter']),
        ];
    }

    /**
     * @param list<string> $ids
     *
     * @return array<string, array{mode: string, place: string, letter: string}> by identifier; withdrawn ones left out
     */
    public function failures(string $device, array $ids): array
    {
        $out = [];
        foreach ($ids === [] ? [] : $this->db->fetchAllAssociative(
            'SELECT f.id, f.mode, f.place, v.letter FROM failure f JOIN revision v ON v.id = f.revision_id
             WHERE f.belongs_to = ? AND f.withdrawn_because IS NULL AND f.id = ANY(CAST(? AS uuid[]))', [$device, '{'.implode(',', $ids).'}'],
        ) as $row) {
            $out[Row::text($row['id'])] = [
                'mode' => Row::text($row['mode']), 'place' => Row::text($row['place']), 'letter' => Row::text($row['letter']),
            ];
        }

        return $out;
    }

    /**
     * What each person did, by the name in which it was written down.
     *
     * @return array<string, array{asked: int, proposed: int, said: int, signed: int, keeps: int, believes: int}>
     */
    public function did(string $device): array
    {
        $out = [];
        foreach ($this->db->fetchAllAssociative(
            "SELECT what, lower(trim(who)) who, count(*) n FROM (
                SELECT 'asked' what, asked_by who FROM requirement WHERE belongs_to = :device AND withdrawn_because IS NULL
                UNION ALL SELECT 'proposed', asked_by FROM candidate WHERE belongs_to = :device AND withdrawn_because IS NULL
                UNION ALL SELECT 'signed', s->>'by' FROM trial CROSS JOIN LATERAL jsonb_array_elements(sign_offs) s WHERE belongs_to = :device AND withdrawn_because IS NULL
                UNION ALL SELECT 'keeps', keeper FROM article WHERE belongs_to = :device AND withdrawn_because IS NULL
                UNION ALL SELECT 'said', said_by FROM observation WHERE belongs_to = :device AND withdrawn_because IS NULL
                UNION ALL SELECT 'believes', believed_by FROM assumption WHERE belongs_to = :device AND withdrawn_because IS NULL
             ) d WHERE who <> '' GROUP BY 1, 2", ['device' => $device],
        ) as $row) {
            $who = Row::text($row['who']);
            $out[$who] ??= ['asked' => 0, 'proposed' => 0, 'said' => 0, 'signed' => 0, 'keeps' => 0, 'believes' => 0];
            $what = Row::text($row['what']);
            if (isset($out[$who][$what])) {
                $out[$who][$what] = Row::whole($row['n']);
            }
        }

        return $out;
    }

    /** @return list<string> names of who is around a device, and of who can sign in, in the order of the alphabet */
    public function names(string $device, string $workspace): array
    {
        return array_map(Row::text(...), $this->db->fetchFirstColumn(
            'SELECT DISTINCT name FROM (SELECT name FROM person WHERE belongs_to = ? AND withdrawn_because IS NULL
             UNION SELECT u.name FROM membership m JOIN account u ON u.id = m.user_id WHERE m.workspace_id = ?) n ORDER BY name',
            [$device, $workspace],
        ));
    }
}
