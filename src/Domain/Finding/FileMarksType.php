<?php

declare(strict_types=1);

namespace Lustrum\Domain\Finding;

use Lustrum\Core\Run\Row;
use Lustrum\Shared\Doctrine\ValueType;

final class FileMarksType extends ValueType
{
    public const NAME = 'file_marks';

    protected function read(array $stored): mixed
    {
        return array_map(FileMark::fromRow(...), Row::rows($stored));
    }
}
