<?php

declare(strict_types=1);

namespace Lustrum\Shared\Doctrine;

use Lustrum\Core\Run\Row;

/** Texts by name. */
final class NamedTextsType extends ValueType
{
    public const NAME = 'named_texts';

    protected function read(array $stored): mixed
    {
        return Row::map($stored);
    }
}
