<?php

declare(strict_types=1);

namespace Lustrum\Domain\Revision;

use Lustrum\Core\Run\Row;
use Lustrum\Shared\Doctrine\ValueType;

final class CorrectionsType extends ValueType
{
    public const NAME = 'corrections';

    protected function read(array $stored): mixed
    {
        return array_map(self::one(...), Row::rows($stored));
    }

    /** @param array<array-key, mixed> $row */
    public static function one(array $row): Correction
    {
        return new Correction(
            Row::text($row['what'] ?? ''), Row::text($row['reason'] ?? ''), Row::text($row['by'] ?? ''), Row::text($row['at'] ?? ''),
            Row::whole($row['runs'] ?? 0),
        );
    }
}
