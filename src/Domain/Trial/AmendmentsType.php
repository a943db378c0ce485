<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

use Lustrum\Core\Run\Row;
use Lustrum\Shared\Doctrine\ValueType;

final class AmendmentsType extends ValueType
{
    public const NAME = 'amendments';

    protected function read(array $stored): mixed
    {
        return array_map(Amendment::fromRow(...), Row::rows($stored));
    }
}
