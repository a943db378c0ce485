<?php

declare(strict_types=1);

namespace Lustrum\Facts;

use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use Lustrum\Core\Heap\Span;
use Lustrum\Core\Run\Row;
use Lustrum\Core\Wording\HeapWords;

/** What a heap is laid against: the runs of a workspace along time, and what is here already. */
final readonly class HeapFacts
{
    /** Runs that a heap is laid against, at most. */
    public const RUNS = 2000;

    public function __construct(
        private Connection $db,
    ) {
    }

    /**
     * Runs that began between two moments, of all devices: as far as the clock of a run goes, else as its method says; no
     * further than to the next on the same article.
     *
     * @return list<array{span: Span, number: int, trial: string, letter: string, device: string, name: string}> as they began
     */
    public function runs(string $workspace, float $from, float $to): array
    {
        $out = [];
        foreach ($this->db->fetchAllAssociative(
            'SELECT r.id, r.number, t.name trial, v.letter, v.device_id device, d.name,
                    extract(epoch FROM coalesce(r.clock_at, r.started_at)) begun,
                    least(
                        extract(epoch FROM coalesce(r.clock_at, r.started_at)) + coalesce(r.lasted, m.minutes * 60),
                        CASE WHEN r.lasted IS NULL THEN extract(epoch FROM lead(coalesce(r.clock_at, r.started_at)) OVER (
                            PARTITION BY coalesce(r.article_id, r.trial_id) ORDER BY coalesce(r.clock_at, r.started_at), r.number)) END
                    ) ended
             FROM run r JOIN trial t ON t.id = r.trial_id JOIN method m ON m.id = t.method_id JOIN revision v ON v.id = t.revision_id
                  JOIN device d ON d.id = v.device_id
             WHERE r.workspace_id = ? AND r.started_at BETWEEN to_timestamp(?) AND to_timestamp(?) AND r.withdrawn_because IS NULL
                   AND t.withdrawn_because IS NULL
             ORDER BY begun, r.number LIMIT '.self::RUNS,
            [$workspace, $from, $to],
        ) as $row) {
            $out[] = [
                'span' => new Span(Row::text($row['id']), Row::number($row['begun']), Row::number($row['ended'])),
                'number' => Row::whole($row['number']), 'trial' => Row::text($row['trial']), 'letter' => Row::text($row['letter']),
                'device' => Row::text($row['device']), 'name' => Row::text($row['name']),
            ];
        }

        return $out;
    }

    /**
     * Where files are that were sent before.
     *
     * @param list<string> $sha256 of what is to be sent
     *
     * @return array<string, string> SHA-256 => where, in words
     */
    public function known(string $workspace, array $sha256): array
    {
        $out = [];
        foreach ($sha256 === [] ? [] : $this->db->fetchAllAssociative(
            "SELECT source, photo IS NOT NULL kept, aside, '' letter, '' trial, 0 number FROM heap_file
             WHERE workspace_id = :workspace AND source IN (:all) AND withdrawn_because IS NULL
             UNION ALL
             SELECT p.source, true, false, v.letter, coalesce(t.name, ''), coalesce(r.number, 0)
             FROM photo p JOIN revision v ON v.id = p.revision_id LEFT JOIN run r ON r.id = p.run_id LEFT JOIN trial t ON t.id = r.trial_id
             WHERE p.workspace_id = :workspace AND p.source IN (:all) AND p.withdrawn_because IS NULL",
            ['workspace' => $workspace, 'all' => $sha256], ['all' => ArrayParameterType::STRING],
        ) as $row) {
            $out[Row::text($row['source'])] = HeapWords::here(
                $row['kept'] === true, $row['aside'] === true, Row::text($row['letter']), Row::text($row['trial']),
                Row::whole($row['number']),
            );
        }

        return $out;
    }

    /** @return array{left: int, kept: int, aside: int} */
    public function counts(string $workspace): array
    {
        $row = $this->db->fetchAssociative(
            'SELECT count(*) FILTER (WHERE NOT aside AND photo IS NULL) left_over, count(*) FILTER (WHERE photo IS NOT NULL) kept,
                    count(*) FILTER (WHERE aside) aside
             FROM heap_file WHERE workspace_id = ? AND withdrawn_because IS NULL', [$workspace],
        ) ?: [];

        return [
            'left' => Row::whole($row['left_over'] ?? 0), 'kept' => Row::whole($row['kept'] ?? 0),
            'aside' => Row::whole($row['aside'] ?? 0),
        ];
    }
}
