<?php

declare(strict_types=1);

namespace Lustrum\Facts;

use Doctrine\DBAL\Connection;
use Lustrum\Core\Run\Amount;
use Lustrum\Core\Run\CountsFor;
use Lustrum\Core\Run\MethodChanges;
use Lustrum\Core\Run\MethodState;
use Lustrum\Core\Run\Row;

/** What was made with methods, and how they became what they are. */
final readonly class MethodFacts
{
    /** Entries of the history that are gone through. */
    private const MOST = 200;

    public function __construct(
        private Connection $db,
    ) {
    }

    /** @return array<string, int> runs that were begun with each method of a device */
    public function runs(string $device): array
    {
        return array_map(Row::whole(...), $this->db->fetchAllKeyValue(
            'SELECT t.method_id, count(*) FROM run r JOIN trial t ON t.id = r.trial_id WHERE r.belongs_to = ? AND r.withdrawn_because IS NULL
             GROUP BY t.method_id', [$device],
        ));
    }

    /** @return array<int, int> runs by the edition that they were made with */
    public function editions(string $method): array
    {
        return array_map(Row::whole(...), $this->db->fetchAllKeyValue(
            "SELECT CAST(c.content->>'methodVersion' AS int), count(*) FROM run r JOIN trial t ON t.id = r.trial_id
             JOIN configuration c ON c.hash = r.configuration WHERE t.method_id = ? AND r.withdrawn_because IS NULL GROUP BY 1", [$method],
        ));
    }

    /**
     * How a method became what it is: each write that changed what it asks, newest first.
     *
     * @return list<MethodEdition>
     */
    public function became(string $method): array
    {
        $out = [];
        foreach ($this->db->fetchAllAssociative(
            "SELECT at, author, was, became FROM history_entry WHERE record = ? AND kind = 'method' AND was IS NOT NULL ORDER BY at DESC, id DESC LIMIT ".self::MOST,
            [$method],
        ) as $row) {
            [$was, $is] = [Row::json($row['was']), Row::json($row['became'])];
            $changes = MethodChanges::between(MethodState::fromRow($was), MethodState::fromRow($is));
            if ($changes !== []) {
                $edition = static fn (array $view): int => Row::whole($view['edition'] ?? $view['version'] ?? 1);
                $out[] = new MethodEdition(
                    $edition($is), $edition($is) !== $edition($was), Row::text($row['at']), Row::text($row['author']), $changes,
                );
            }
        }

        return $out;
    }

    /**
     * Methods of the other devices of a workspace, that could be used here.
     *
     * @return list<array{id: string, name: string, purpose: string, device: string}>
     */
    public function elsewhere(string $workspace, string $device): array
    {
        return array_map(static fn (array $row): array => [
            'id' => Row::text($row['id']), 'name' => Row::text($row['name']), 'purpose' => Row::text($row['purpose']),
            'device' => Row::text($row['device']),
        ], $this->db->fetchAllAssociative(
            'SELECT m.id, m.name, m.purpose, d.name device FROM method m JOIN device d ON d.id = m.device_id
             WHERE m.workspace_id = ? AND m.device_id <> ? AND m.withdrawn_because IS NULL ORDER BY d.name, m.name LIMIT '.self::MOST, [$workspace, $device],
        ));
    }

    /**
     * Methods that rehearse a use, with which a build was tried.
     *
     * @return list<array{id: string, name: string, use: string, loads: list<Amount>, carries: list<Amount>}>
     */
    public function rehearsing(string $device, string $build): array
    {
        $amounts = static fn (mixed $json): array => array_map(Amount::fromRow(...), Row::rows(Row::json($json)));

        return array_map(static fn (array $row): array => [
            'id' => Row::text($row['id']), 'name' => Row::text($row['name']), 'use' => Row::text($row['use']),
            'loads' => $amounts($row['loads']), 'carries' => $amounts($row['carries']),
        ], $this->db->fetchAllAssociative(
            'SELECT m.id, m.name, u.id use, u.loads, m.carries FROM method m JOIN use_case u ON u.id = m.use_id
             WHERE m.device_id = ? AND m.withdrawn_because IS NULL AND u.withdrawn_because IS NULL AND EXISTS (
                SELECT 1 FROM trial t JOIN run r ON r.trial_id = t.id WHERE t.method_id = m.id AND t.revision_id = ?
                  AND t.withdrawn_because IS NULL AND r.withdrawn_because IS NULL AND '.RunCounts::are('r', CountsFor::Result).')
             ORDER BY m.name, m.id', [$device, $build],
        ));
    }

    /** @return array<string, list<string>> names of methods of a workspace, with their device, by the instrument that they name */
    public function reading(string $workspace): array
    {
        $out = [];
        foreach ($this->db->fetchAllAssociative(
            "SELECT DISTINCT lower(trim(c->>'instrument')) instrument, d.name device, m.name FROM method m JOIN device d ON d.id = m.device_id
             CROSS JOIN LATERAL jsonb_array_elements(m.channels) c WHERE m.workspace_id = ? AND trim(c->>'instrument') <> '' ORDER BY 1, 2, 3",
            [$workspace],
        ) as $row) {
            $out[Row::text($row['instrument'])][] = Row::text($row['device']).': '.Row::text($row['name']);
        }

        return $out;
    }
}
