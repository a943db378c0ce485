<?php

declare(strict_types=1);

namespace Lustrum\Facts;

use Doctrine\DBAL\Connection;
use Lustrum\Core\Run\Row;
use Lustrum\Core\Run\RunTally;

/** The runs of trials as marks and counts, without loading them. */
final readonly class RunDots
{
    /** So many marks of a trial are drawn; a strip of a thousand is a bar. */
    public const MOST = 60;

    private const COLUMNS = "r.trial_id, r.id, r.number, to_char(r.started_at AT TIME ZONE 'UTC', 'YYYY-MM-DD\"T\"HH24:MI:SS\"Z\"') started_at, r.outcome, r.levels, r.article_id, a.serial";

    public function __construct(
        private Connection $db,
    ) {
    }

    /** @return array<string, list<array<string, mixed>>> the last ones of each trial of a build, by trial, in their order */
    public function ofBuild(string $build): array
    {
        $out = [];
        foreach ($this->db->iterateAssociative(
            'SELECT '.self::COLUMNS.' FROM trial t CROSS JOIN LATERAL (
                SELECT trial_id, id, number, started_at, outcome, levels, article_id FROM run WHERE trial_id = t.id AND withdrawn_because IS NULL ORDER BY number DESC LIMIT '.self::MOST.'
             ) r LEFT JOIN article a ON a.id = r.article_id WHERE t.revision_id = ? ORDER BY r.trial_id, r.number', [$build],
        ) as $row) {
            $out[Row::text($row['trial_id'])][] = $row;
        }

        return $out;
    }

    /** @return list<array<string, mixed>> the ones around a run of a trial, in their order */
    public function around(string $trial, int $number): array
    {
        return $this->db->fetchAllAssociative(
            'SELECT '.self::COLUMNS.' FROM run r LEFT JOIN article a ON a.id = r.article_id
             WHERE r.trial_id = ? AND r.withdrawn_because IS NULL AND r.number BETWEEN ? AND ? ORDER BY r.number',
            [$trial, $number - intdiv(self::MOST, 2), $number + intdiv(self::MOST, 2)],
        );
    }

    /**
     * Conditions and settings as they were found on the last run of a trial before this one.
     *
     * @return array{number: int, found: array<string, string>} by name; nought and none where there is none
     */
    public function before(string $trial, int $number): array
    {
        $row = $this->db->fetchAssociative(
            'SELECT number, conditions, settings FROM run
             WHERE trial_id = ? AND number < ? AND withdrawn_because IS NULL ORDER BY number DESC LIMIT 1',
            [$trial, $number],
        );
        $found = [];
        foreach ($row === false ? [] : [...Row::rows(Row::json($row['conditions'])), ...Row::rows(Row::json($row['settings']))] as $one) {
            $found[Row::text($one['name'] ?? '')] = Row::text($one['text'] ?? '');
        }

        return ['number' => $row === false ? 0 : Row::whole($row['number']), 'found' => array_filter(
            $found, static fn (string $text): bool => !in_array($text, ['', 'unknown'], true),
        )];
    }

    /** @return array<string, array{from: string, to: string, runs: RunTally}> by trial that has runs */
    public function counts(string $build): array
    {
        $out = [];
        foreach ($this->db->iterateAssociative(
            'SELECT t.id, '.RunCounts::column('t').<<<'SQL'
                 counted, span.* FROM trial t CROSS JOIN LATERAL (
                    SELECT to_char(min(r.started_at) AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS"Z"') first,
                           to_char(max(r.started_at) AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS"Z"') last
                    FROM run r WHERE r.trial_id = t.id AND r.withdrawn_because IS NULL
                 ) span WHERE t.revision_id = ? AND span.first IS NOT NULL
                SQL,
            [$build],
        ) as $row) {
            $out[Row::text($row['id'])] = [
                'from' => Row::text($row['first']), 'to' => Row::text($row['last']), 'runs' => RunCounts::tally($row['counted']),
            ];
        }

        return $out;
    }
}
