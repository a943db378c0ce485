<?php

declare(strict_types=1);

namespace Lustrum\Facts;

use Doctrine\DBAL\Connection;
use Lustrum\Core\Judging\HeldRun;
use Lustrum\Core\Run\Row;

/** Runs of a build that held: each configuration with each set of levels once, however many there are. */
final readonly class HeldRuns
{
    public function __construct(
        private Connection $db,
        private RunFacts $runs,
    ) {
    }

    /** @return list<HeldRun> */
    public function of(string $build): array
    {
        $rows = $this->db->fetchAllAssociative(
            'SELECT DISTINCT r.configuration, r.levels FROM run r JOIN trial t ON t.id = r.trial_id
             WHERE t.revision_id = ? AND r.withdrawn_because IS NULL AND '.RunFacts::good(), [$build],
        );
        $made = $this->runs->configurations(array_values(array_unique(array_map(
            static fn (array $r): string => Row::text($r['configuration']), $rows,
        ))));

        return array_map(
            static fn (array $r): HeldRun => new HeldRun($made[Row::text($r['configuration'])], Row::found($r['levels'])), $rows,
        );
    }
}
