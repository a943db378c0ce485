<?php

declare(strict_types=1);

namespace Lustrum\Facts;

use Doctrine\DBAL\Connection;
use Lustrum\Core\Quantity\Units;
use Lustrum\Core\Run\CountsFor;
use Lustrum\Core\Run\Purpose;
use Lustrum\Core\Run\RigReading;
use Lustrum\Core\Run\Row;
use Lustrum\Core\Run\RunOutcome;

/** Runs of the rig alone and on the reference article, and what they read. */
final readonly class EmptyFacts
{
    public function __construct(
        private Connection $db,
    ) {
    }

    /** @return list<RigReading> of one trial, without what was void or lost; in their order */
    public function ofTrial(string $trial): array
    {
        return $this->where('t.id', $trial)[$trial] ?? [];
    }

    /** @return array<string, list<RigReading>> of the trials of a build, by trial */
    public function ofBuild(string $build): array
    {
        return $this->where('t.revision_id', $build);
    }

    /** @return array<string, list<RigReading>> by trial */
    private function where(string $column, string $id): array
    {
        $out = [];
        foreach ($this->db->iterateAssociative(
            sprintf("SELECT r.trial_id, r.purpose, r.started_at at, c.content->>'serial' serial, g.channel, m.name metric, g.current_si si,
                    g.current_resolution step, g.current_unit unit
             FROM run r JOIN trial t ON t.id = r.trial_id JOIN reading g ON g.run_id = r.id JOIN metric m ON m.id = g.metric_id
                  JOIN configuration c ON c.hash = r.configuration
             WHERE %s = ? AND %s AND NOT coalesce(%s, false) AND r.withdrawn_because IS NULL AND NOT g.undecided AND g.bound = ''
             ORDER BY r.started_at, r.number", $column, RunCounts::are('r', CountsFor::Rig), RunCounts::ended(
                'r', RunOutcome::Void, RunOutcome::Lost,
            )), [$id],
        ) as $row) {
            $out[Row::text($row['trial_id'])][] = new RigReading(
                Purpose::from(Row::text($row['purpose'])), Row::text($row['at']), Row::text($row['serial']), Row::text($row['channel']),
                Row::text($row['metric']), Row::number($row['si']),
                Row::number($row['step'] ?? 0) * Units::parse(Row::text($row['unit']))->factor,
            );
        }

        return $out;
    }
}
