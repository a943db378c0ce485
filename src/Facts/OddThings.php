<?php

declare(strict_types=1);

namespace Lustrum\Facts;

use Doctrine\DBAL\Connection;
use Lustrum\Core\Run\Row;

/** What was odd on runs, and what nobody has explained or dismissed yet. */
final readonly class OddThings
{
    /** That are named; the rest is counted. */
    private const MOST = 20;

    public function __construct(
        private Connection $db,
    ) {
    }

    /** @return list<array{text: string, run: string, number: int, trial: string}> on a build, oldest first; run is empty where there was none */
    public function open(string $build): array
    {
        return array_map(
            static fn (array $row): array => [
                'text' => Row::text($row['text']), 'run' => Row::text($row['run'] ?? ''), 'number' => Row::whole($row['number'] ?? 0),
                'trial' => Row::text($row['trial'] ?? ''),
            ],
            $this->db->fetchAllAssociative(
                "SELECT o.text, o.run_id run, r.number, t.name trial FROM observation o LEFT JOIN run r ON r.id = o.run_id LEFT JOIN trial t ON t.id = r.trial_id
                 WHERE o.revision_id = ? AND o.odd AND o.explained = '' AND o.withdrawn_because IS NULL ORDER BY o.created_at, o.id LIMIT ".self::MOST,
                [$build],
            ),
        );
    }
}
