<?php

declare(strict_types=1);

namespace Lustrum\Domain\Working;

use Lustrum\Core\Run\Row;
use Lustrum\Shared\Doctrine\ValueType;

final class WorkEntriesType extends ValueType
{
    public const NAME = 'work_entries';

    protected function read(array $stored): mixed
    {
        return array_map(static fn (array $row): WorkEntry => new WorkEntry(
            Row::text($row['name'] ?? ''), Row::text($row['text'] ?? ''), self::id($row['parameter'] ?? null),
            self::id($row['part'] ?? null),
            self::id($row['reading'] ?? null), self::id($row['requirement'] ?? null),
        ), Row::rows($stored));
    }

    private static function id(mixed $stored): ?string
    {
        return is_string($stored) ? $stored : null;
    }
}
