<?php

declare(strict_types=1);

namespace Lustrum\Domain\Method;

use Lustrum\Core\Run\Row;
use Lustrum\Core\Run\Wait;
use Lustrum\Shared\Doctrine\ValueType;

final class WaitsType extends ValueType
{
    public const NAME = 'waits';

    protected function read(array $stored): mixed
    {
        return array_map(Wait::fromRow(...), Row::rows($stored));
    }
}
