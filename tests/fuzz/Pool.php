<?php

declare(strict_types=1);

/** The records that are there, of every device of every workspace that somebody sees, as its export gives them. */
final class Pool
{
    /** Fields whose name is not that of the kind that they name. */
    private const MEANS = [
        'build' => 'revisions', 'parent' => 'revisions', 'against' => 'revisions', 'base' => 'revisions', 'rater' => 'persons', 'person' => 'persons',
        'channel' => 'channels', 'into' => 'revisions', 'next' => 'revisions', 'replaces' => 'articles', 'within' => 'parts', 'file' => 'heapfiles',
    ];

    /** @var array<string, array<string, array<string, mixed>>> rows by kind (as in an address) and identifier */
    public array $rows = [];

    public function add(string $kind, string $id, array $row = []): void
    {
        $this->rows[$kind][$id] = $row;
    }

    /** An identifier that a field of this name may name, null where it names none; of anything where it has no name. */
    public function any(string $field): ?string
    {
        $kind = $field === '' ? Hostile::one(array_keys($this->rows)) : self::MEANS[$field] ?? $field.'s';
        $kind = isset($this->rows[$kind]) ? $kind : ($field === '' ? $kind : rtrim($field, 's').'s');

        return isset($this->rows[$kind]) && $this->rows[$kind] !== [] ? (string) Hostile::one(array_keys($this->rows[$kind])) : null;
    }

    public function count(): int
    {
        return array_sum(array_map(count(...), $this->rows));
    }
}
