<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

use Lustrum\Core\Run\Row;
use Lustrum\Shared\Doctrine\ValueType;

final class FoundType extends ValueType
{
    public const NAME = 'found';

    protected function read(array $stored): mixed
    {
        return array_map(
            static fn (array $row): Found => new Found(Row::text($row['name'] ?? ''), Row::text($row['text'] ?? '')),
            Row::rows($stored),
        );
    }
}
