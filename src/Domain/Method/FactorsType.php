<?php

declare(strict_types=1);

namespace Lustrum\Domain\Method;

use Lustrum\Core\Run\Factor;
use Lustrum\Core\Run\Row;
use Lustrum\Shared\Doctrine\ValueType;

final class FactorsType extends ValueType
{
    public const NAME = 'factors';

    protected function read(array $stored): mixed
    {
        return array_map(Factor::fromRow(...), Row::rows($stored));
    }
}
