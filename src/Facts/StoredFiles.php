<?php

declare(strict_types=1);

namespace Lustrum\Facts;

use Doctrine\DBAL\Connection;
use Lustrum\Core\Run\Row;

/** Which files the database names: by the view that backups read as well. */
final readonly class StoredFiles
{
    public function __construct(
        private Connection $db,
    ) {
    }

    /** Bytes that the files of a workspace take; what lies at one place counts once. */
    public function taken(string $workspace): int
    {
        return Row::whole($this->db->fetchOne(
            'SELECT coalesce(sum(bytes), 0) FROM (SELECT DISTINCT path, bytes FROM stored_file WHERE workspace_id = ?) f', [$workspace],
        ));
    }

    /** @return list<array{device: string, kind: string, files: int, bytes: int}> device: empty for the heap */
    public function byDevice(string $workspace): array
    {
        return array_map(static fn (array $row): array => [
            'device' => Row::text($row['device']), 'kind' => Row::text($row['kind']), 'files' => Row::whole($row['files']),
            'bytes' => Row::whole($row['bytes']),
        ], $this->db->fetchAllAssociative(
            "SELECT coalesce(d.name, '') device, coalesce(p.kind, h.kind, 'document') kind, count(*) files, sum(f.bytes) bytes
             FROM stored_file f LEFT JOIN device d ON d.id = f.belongs_to LEFT JOIN photo p ON p.id = f.record LEFT JOIN heap_file h ON h.id = f.record
             WHERE f.workspace_id = ? AND f.part <> 'preview' GROUP BY 1, 2 ORDER BY 1, 2", [$workspace],
        ));
    }

    /** @return list<array{record: string, heldAs: string, name: string, device: string, letter: string, bytes: int}> the largest first */
    public function largest(string $workspace, int $most): array
    {
        return array_map(static fn (array $row): array => [
            'record' => Row::text($row['record']), 'heldAs' => Row::text($row['held_as']), 'name' => Row::text($row['name']),
            'device' => Row::text($row['device']), 'letter' => Row::text($row['letter']), 'bytes' => Row::whole($row['bytes']),
        ], $this->db->fetchAllAssociative(
            "SELECT f.record, f.held_as, f.name, coalesce(d.name, '') device, coalesce(v.letter, '') letter, f.bytes
             FROM stored_file f LEFT JOIN device d ON d.id = f.belongs_to
                  LEFT JOIN photo p ON p.id = f.record LEFT JOIN document c ON c.id = f.record
                  LEFT JOIN revision v ON v.id = coalesce(p.revision_id, c.revision_id)
             WHERE f.workspace_id = ? AND f.part <> 'preview' ORDER BY f.bytes DESC, f.name, f.record LIMIT ".$most, [$workspace],
        ));
    }

    /**
     * Each place once, with the first record that holds it.
     *
     * @return iterable<array{path: string, part: string, sha256: string, heldAs: string, record: string, name: string}>
     */
    public function all(): iterable
    {
        foreach ($this->db->iterateAssociative(
            'SELECT DISTINCT ON (path) path, part, sha256, held_as, record, name FROM stored_file ORDER BY path, record',
        ) as $row) {
            yield [
                'path' => Row::text($row['path']), 'part' => Row::text($row['part']), 'sha256' => Row::text($row['sha256']),
                'heldAs' => Row::text($row['held_as']), 'record' => Row::text($row['record']), 'name' => Row::text($row['name']),
            ];
        }
    }
}
