<?php

declare(strict_types=1);

namespace Lustrum\Facts;

use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use Lustrum\Core\Run\Row;

/** Pictures of the displays that readings were taken from. */
final readonly class Displays
{
    public function __construct(
        private Connection $db,
    ) {
    }

    /**
     * @param list<string> $runs
     *
     * @return array<string, array<string, string>> run => metric => photo
     */
    public function ofRuns(array $runs): array
    {
        $out = [];
        foreach ($runs === [] ? [] : $this->db->fetchAllAssociative(
            'SELECT g.run_id, m.name, p.id FROM photo p JOIN reading g ON g.id = p.reading_id JOIN metric m ON m.id = g.metric_id
             WHERE g.run_id IN (?) AND p.withdrawn_because IS NULL ORDER BY p.created_at', [$runs], [ArrayParameterType::STRING],
        ) as $row) {
            $out[Row::text($row['run_id'])][Row::text($row['name'])] = Row::text($row['id']);
        }

        return $out;
    }
}
