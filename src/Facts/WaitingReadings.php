<?php

declare(strict_types=1);

namespace Lustrum\Facts;

use Doctrine\DBAL\Connection;
use Lustrum\Core\Run\Row;

/** Numbers whose unit nobody knows: they are used for nothing until somebody decides. */
final readonly class WaitingReadings
{
    public function __construct(
        private Connection $db,
    ) {
    }

    /** @return list<array{metric: string, trial: string, number: int}> of the runs of a build, newest first */
    public function of(string $build): array
    {
        return array_map(static fn (array $row): array => [
            'metric' => Row::text($row['metric']), 'trial' => Row::text($row['trial']), 'number' => Row::whole($row['number']),
        ], $this->db->fetchAllAssociative(
            'SELECT m.name metric, t.name trial, r.number FROM reading g JOIN run r ON r.id = g.run_id JOIN trial t ON t.id = r.trial_id
             JOIN metric m ON m.id = g.metric_id
             WHERE t.revision_id = ? AND g.undecided AND g.withdrawn_because IS NULL AND r.withdrawn_because IS NULL
             ORDER BY r.started_at DESC, r.number DESC, m.name', [$build],
        ));
    }
}
