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
