<?php

declare(strict_types=1);

namespace Lustrum\Domain\Working;

use Lustrum\Core\Run\Row;
use Lustrum\Shared\Doctrine\ValueType;

final class OwnFormulaType extends ValueType
{
    public const NAME = 'own_formula';

    protected function read(array $stored): mixed
    {
        return new OwnFormula(
            Row::text($stored['name'] ?? ''), Row::text($stored['formula'] ?? ''), Row::text($stored['unit'] ?? ''),
            array_map(static fn (array $v): SumVariable => new SumVariable(
                Row::text($v['name'] ?? ''), Row::text($v['words'] ?? ''), Row::text($v['unit'] ?? ''),
            ), Row::rows($stored['variables'] ?? [])),
            Row::text($stored['note'] ?? ''),
        );
    }
}
