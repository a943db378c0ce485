<?php

declare(strict_types=1);

namespace Lustrum\Shared\Doctrine;

use Lustrum\Core\Run\Amount;
use Lustrum\Core\Run\Row;

final class AmountsType extends ValueType
{
    public const NAME = 'amounts';

    protected function read(array $stored): mixed
    {
        return array_map(Amount::fromRow(...), Row::rows($stored));
    }
}
