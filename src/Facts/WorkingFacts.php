<?php

declare(strict_types=1);

namespace Lustrum\Facts;

use Doctrine\DBAL\Connection;
use Lustrum\Core\Run\Row;
use Lustrum\Core\Wording\WorkingWords;

/** What a sum can be taken from, and kept for. */
final readonly class WorkingFacts
{
    /** So many of the last readings, and of the runs that have not ended, are offered. */
    private const MOST = 40;

    public function __construct(
        private Connection $db,
    ) {
    }

    /** @return array<string, string> what the last readings of a build read, by identifier */
    public function readings(string $build): array
    {
        return $this->words(
            "SELECT g.id, t.name, r.number, m.name metric FROM reading g JOIN run r ON r.id = g.run_id
             JOIN trial t ON t.id = r.trial_id JOIN metric m ON m.id = g.metric_id
             WHERE t.revision_id = ? AND g.withdrawn_because IS NULL AND NOT g.undecided AND g.bound = '' AND r.withdrawn_because IS NULL
               AND g.current_unit <> '' ORDER BY g.created_at DESC, r.number DESC, g.channel", $build,
        );
    }

    /** @return array<string, string> runs of a build that nobody has read yet, by identifier */
    public function openRuns(string $build): array
    {
        return $this->words(
            "SELECT r.id, t.name, r.number, '' metric FROM run r JOIN trial t ON t.id = r.trial_id
             WHERE t.revision_id = ? AND r.outcome IS NULL AND r.withdrawn_because IS NULL
               AND NOT EXISTS (SELECT 1 FROM reading g WHERE g.run_id = r.id) ORDER BY t.name, r.number", $build,
        );
    }

    /** @return array<string, string> by identifier */
    private function words(string $sql, string $build): array
    {
        $out = [];
        foreach ($this->db->fetchAllAssociative($sql.' LIMIT '.self::MOST, [$build]) as $row) {
            $out[Row::text($row['id'])] = WorkingWords::run(Row::text($row['name']), Row::whole($row['number']), Row::text($row['metric']));
        }

        return $out;
    }
}
