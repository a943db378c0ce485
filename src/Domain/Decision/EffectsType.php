<?php

declare(strict_types=1);

namespace Lustrum\Domain\Decision;

use Lustrum\Core\Run\Row;
use Lustrum\Shared\Doctrine\ValueType;

final class EffectsType extends ValueType
{
    public const NAME = 'effects';

    protected function read(array $stored): mixed
    {
        return array_map(static fn (array $row): ExpectedEffect => new ExpectedEffect(
            Row::text($row['metric'] ?? ''), Row::text($row['unit'] ?? ''),
            Row::number($row['low'] ?? 0), Row::number($row['likely'] ?? 0), Row::number($row['high'] ?? 0),
        ), Row::rows($stored));
    }
}
