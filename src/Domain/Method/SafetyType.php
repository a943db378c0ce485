<?php

declare(strict_types=1);

namespace Lustrum\Domain\Method;

use Lustrum\Core\Run\Row;
use Lustrum\Shared\Doctrine\ValueType;

final class SafetyType extends ValueType
{
    public const NAME = 'safety';

    protected function read(array $stored): mixed
    {
        return new Safety(
            Row::texts($stored['hazards'] ?? []), Row::texts($stored['cautions'] ?? []),
            Row::text($stored['abort'] ?? ''), ($stored['needsSignOff'] ?? false) === true,
            Row::texts($stored['agreedBy'] ?? []),
        );
    }
}
