<?php

declare(strict_types=1);

namespace Lustrum\Domain\Method;

use Lustrum\Core\Run\Condition;
use Lustrum\Core\Run\Row;
use Lustrum\Shared\Doctrine\ValueType;

final class ConditionsType extends ValueType
{
    public const NAME = 'conditions';

    protected function read(array $stored): mixed
    {
        return array_map(Condition::fromRow(...), Row::rows($stored));
    }
}
