<?php

declare(strict_types=1);

namespace Lustrum\Domain\Finding;

use Lustrum\Core\Belief\Weight;
use Lustrum\Core\Run\Row;
use Lustrum\Shared\Doctrine\ValueType;

final class AssumptionFindingsType extends ValueType
{
    public const NAME = 'assumption_findings';

    protected function read(array $stored): mixed
    {
        return array_map(static fn (array $row): AssumptionFinding => new AssumptionFinding(
            Weight::from(Row::text($row['says'] ?? '')), Row::textOrNull($row['run'] ?? null), Row::textOrNull($row['failure'] ?? null),
            Row::text($row['note'] ?? ''),
        ), Row::rows($stored));
    }
}
