<?php

declare(strict_types=1);

namespace Lustrum\Domain\Device;

use Lustrum\Shared\Doctrine\ValueType;

final class OriginType extends ValueType
{
    public const NAME = 'origin';

    protected function read(array $stored): mixed
    {
        return Origin::fromRow($stored);
    }
}
