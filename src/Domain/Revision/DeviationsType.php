<?php

declare(strict_types=1);

namespace Lustrum\Domain\Revision;

use Lustrum\Core\Run\Deviation;
use Lustrum\Core\Run\Row;
use Lustrum\Shared\Doctrine\ValueType;

final class DeviationsType extends ValueType
{
    public const NAME = 'deviations';

    protected function read(array $stored): mixed
    {
        return array_map(Deviation::fromRow(...), Row::rows($stored));
    }
}
