<?php

declare(strict_types=1);

namespace Lustrum\Shared\Doctrine;

use Lustrum\Core\Run\Row;

/** A list of texts. */
final class TextsType extends ValueType
{
    public const NAME = 'texts';

    protected function read(array $stored): mixed
    {
        return Row::texts($stored);
    }
}
