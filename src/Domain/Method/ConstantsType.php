<?php

declare(strict_types=1);

namespace Lustrum\Domain\Method;

use Lustrum\Core\Run\Constant;
use Lustrum\Core\Run\Row;
use Lustrum\Shared\Doctrine\ValueType;

final class ConstantsType extends ValueType
{
    public const NAME = 'constants';

    protected function read(array $stored): mixed
    {
        return array_map(Constant::fromRow(...), Row::rows($stored));
    }
}
