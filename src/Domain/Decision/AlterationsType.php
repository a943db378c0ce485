<?php

declare(strict_types=1);

namespace Lustrum\Domain\Decision;

use Lustrum\Core\Run\Row;
use Lustrum\Shared\Doctrine\ValueType;

final class AlterationsType extends ValueType
{
    public const NAME = 'alterations';

    protected function read(array $stored): mixed
    {
        return array_map(static fn (array $row): Alteration => new Alteration(
            AlterationKind::tryFrom(Row::text($row['kind'] ?? '')) ?? AlterationKind::Parameter, Row::text($row['name'] ?? ''),
            Row::text($row['from'] ?? ''), Row::text($row['to'] ?? ''),
        ), Row::rows($stored));
    }
}
