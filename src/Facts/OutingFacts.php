<?php

declare(strict_types=1);

namespace Lustrum\Facts;

use Doctrine\DBAL\Connection;
use Lustrum\Core\Run\CountsFor;
use Lustrum\Core\Run\Row;
use Lustrum\Domain\Trial\TrialState;

/** What days out are gathered from, and how often runs of a method were lost on the way. */
final readonly class OutingFacts
{
    private const MOST = 200;

    public function __construct(
        private Connection $db,
    ) {
    }

    /** @return list<array{id: string, name: string, device: string, letter: string}> that are not done, of all devices, newest first */
    public function openTrials(string $workspace): array
    {
        return array_map(
            static fn (array $row): array => [
                'id' => Row::text($row['id']), 'name' => Row::text($row['name']), 'device' => Row::text($row['device']),
                'letter' => Row::text($row['letter']),
            ],
            $this->db->fetchAllAssociative(
                'SELECT t.id, t.name, d.name device, r.letter FROM trial t JOIN revision r ON r.id = t.revision_id JOIN device d ON d.id = r.device_id
                 WHERE t.workspace_id = ? AND t.state <> ? AND t.withdrawn_because IS NULL ORDER BY d.name, t.created_at DESC, t.id LIMIT '.self::MOST,
                [$workspace, TrialState::Done->value],
            ),
        );
    }

    /** Share of the runs of a method that were lost in handling; nought where there were none. */
    public function lostShare(string $method): float
    {
        $share = $this->db->fetchOne(
            sprintf(
                'SELECT avg((%s)::int) FROM run r JOIN trial t ON t.id = r.trial_id WHERE t.method_id = ? AND %s AND r.withdrawn_because IS NULL',
                RunCounts::are('r', CountsFor::Lost),
                RunCounts::are('r', CountsFor::Result, CountsFor::Wear, CountsFor::Practice, CountsFor::Aside, CountsFor::Lost),
            ), [$method],
        );

        return is_numeric($share) ? (float) $share : 0.0;
    }
}
