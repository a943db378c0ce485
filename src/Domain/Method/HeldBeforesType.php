<?php

declare(strict_types=1);

namespace Lustrum\Domain\Method;

use Lustrum\Core\Run\HeldBefore;
use Lustrum\Core\Run\Row;
use Lustrum\Shared\Doctrine\ValueType;

final class HeldBeforesType extends ValueType
{
    public const NAME = 'held_befores';

    protected function read(array $stored): mixed
    {
        return array_map(HeldBefore::fromRow(...), Row::rows($stored));
    }
}
