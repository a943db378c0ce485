<?php

declare(strict_types=1);

namespace Lustrum\Domain\Method;

use Lustrum\Core\Run\LookOut;
use Lustrum\Core\Run\Row;
use Lustrum\Shared\Doctrine\ValueType;

final class LookOutsType extends ValueType
{
    public const NAME = 'look_outs';

    protected function read(array $stored): mixed
    {
        return array_map(LookOut::fromRow(...), Row::rows($stored));
    }
}
