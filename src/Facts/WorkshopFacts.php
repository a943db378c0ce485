<?php

declare(strict_types=1);

namespace Lustrum\Facts;

use Doctrine\DBAL\Connection;
use Lustrum\Core\Run\Row;
use Lustrum\Core\Run\RunOutcome;
use Lustrum\Core\Wording\WorkshopWords;

/** Reads what stands behind a build and is no run: making, plans, modules. */
final readonly class WorkshopFacts
{
    /** So many steps of making are offered. */
    private const OFFERED = 24;

    public function __construct(
        private Connection $db,
    ) {
    }

    /** @return list<string> steps of making as they were called before, in the order in which they come */
    public function steps(string $device): array
    {
        return array_map(Row::text(...), $this->db->fetchFirstColumn(
            'SELECT name FROM (SELECT m.name, avg(m.place) place, count(*) n FROM (
                SELECT name, article_id, row_number() OVER (PARTITION BY article_id ORDER BY created_at, id) place
                FROM making WHERE belongs_to = ? AND withdrawn_because IS NULL) m GROUP BY m.name ORDER BY n DESC LIMIT '.self::OFFERED.') o
             ORDER BY place, name', [$device],
        ));
    }

    /**
     * @param list<string> $articles
     *
     * @return list<string> identifiers of those that are made, on whatever build: their run stands
     */
    public function made(array $articles): array
    {
        return array_map(Row::text(...), $this->db->fetchFirstColumn(
            'SELECT DISTINCT r.article_id FROM run r JOIN trial t ON t.id = r.trial_id JOIN method m ON m.id = t.method_id
             WHERE r.article_id = ANY(CAST(? AS uuid[])) AND m.name = ? AND r.withdrawn_because IS NULL
               AND '.RunCounts::ended('r', RunOutcome::Held, RunOutcome::Failed),
            ['{'.implode(',', $articles).'}', WorkshopWords::making()],
        ));
    }

    /** @return array{hours: float, cost: string}|null what was planned when the build was decided; null: it was not */
    public function planned(string $revision): ?array
    {
        $row = $this->db->fetchAssociative(
            "SELECT known->>'hours' hours, known->>'cost' cost FROM decision WHERE next_id = ? AND withdrawn_because IS NULL", [$revision],
        );

        return $row === false ? null : ['hours' => Row::number($row['hours']), 'cost' => Row::text($row['cost'])];
    }

    /**
     * Builds that a part may be as a module.
     *
     * @return list<array{id: string, name: string}> of the other devices of the workspace, newest first
     */
    public function modules(string $workspace, string $device): array
    {
        return array_map(static fn (array $row): array => ['id' => Row::text($row['id']), 'name' => Row::text($row['name'])], $this->db->fetchAllAssociative(
            "SELECT v.id, d.name || ' ' || v.letter AS name FROM revision v JOIN device d ON d.id = v.device_id
             WHERE d.workspace_id = ? AND d.id <> ? AND v.withdrawn_because IS NULL ORDER BY d.name, v.created_at DESC", [$workspace, $device],
        ));
    }

    /**
     * Requirements of the modules that a device carries.
     *
     * @return list<array{id: string, name: string}>
     */
    public function moduleRequirements(string $device): array
    {
        return array_map(static fn (array $row): array => ['id' => Row::text($row['id']), 'name' => Row::text($row['name'])], $this->db->fetchAllAssociative(
            "SELECT q.id, d.name || ': ' || q.statement AS name FROM requirement q JOIN device d ON d.id = q.device_id
             WHERE q.withdrawn_because IS NULL AND d.id IN (SELECT v.device_id FROM part p JOIN revision v ON v.id = p.module_id
                WHERE p.belongs_to = ? AND p.withdrawn_because IS NULL) ORDER BY d.name, q.place", [$device],
        ));
    }

    /**
     * Modules that the builds of a device carry, and what carries it: a build each, the newest of those that do.
     *
     * @return list<array{build: ?string, device: string, name: string, letter: string}>
     */
    public function joined(string $device): array
    {
        return array_map(static fn (array $row): array => [
            'build' => Row::textOrNull($row['build']), 'device' => Row::text($row['device']), 'name' => Row::text($row['name']),
            'letter' => Row::text($row['letter']),
        ], $this->db->fetchAllAssociative(
            'SELECT p.revision_id AS build, d.id device, d.name, v.letter FROM part p JOIN revision v ON v.id = p.module_id
             JOIN device d ON d.id = v.device_id WHERE p.belongs_to = :device AND p.withdrawn_because IS NULL
             UNION ALL SELECT NULL, c.device, c.name, c.letter FROM (SELECT DISTINCT ON (d.id) d.id device, d.name, w.letter FROM part p
                JOIN revision v ON v.id = p.module_id JOIN revision w ON w.id = p.revision_id JOIN device d ON d.id = w.device_id
                WHERE v.device_id = :device AND p.withdrawn_because IS NULL ORDER BY d.id, w.created_at DESC) c
             ORDER BY name, letter', ['device' => $device],
        ));
    }

    /**
     * Which devices carry this one as a module.
     *
     * @return list<array{device: string, name: string, letters: string}>
     */
    public function carriers(string $device): array
    {
        return array_map(static fn (array $row): array => [
            'device' => Row::text($row['id']), 'name' => Row::text($row['name']), 'letters' => Row::text($row['letters']),
        ], $this->db->fetchAllAssociative(
            "SELECT d.id, d.name, string_agg(DISTINCT w.letter, ', ' ORDER BY w.letter) letters FROM part p JOIN revision v ON v.id = p.module_id
             JOIN revision w ON w.id = p.revision_id JOIN device d ON d.id = w.device_id
             WHERE v.device_id = ? AND p.withdrawn_because IS NULL GROUP BY d.id, d.name ORDER BY d.name", [$device],
        ));
    }
}
