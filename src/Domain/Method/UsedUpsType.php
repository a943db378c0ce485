<?php

declare(strict_types=1);

namespace Lustrum\Domain\Method;

use Lustrum\Core\Run\Row;
use Lustrum\Core\Run\UsedUp;
use Lustrum\Shared\Doctrine\ValueType;

final class UsedUpsType extends ValueType
{
    public const NAME = 'used_ups';

    protected function read(array $stored): mixed
    {
        return array_map(UsedUp::fromRow(...), Row::rows($stored));
    }
}
