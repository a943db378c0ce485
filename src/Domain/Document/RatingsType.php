<?php

declare(strict_types=1);

namespace Lustrum\Domain\Document;

use Lustrum\Core\Run\Row;
use Lustrum\Shared\Doctrine\ValueType;

final class RatingsType extends ValueType
{
    public const NAME = 'ratings';

    protected function read(array $stored): mixed
    {
        return array_map(static fn (array $row): Rating => new Rating(
            Row::text($row['what'] ?? ''), Row::text($row['value'] ?? ''), Row::text($row['page'] ?? ''),
        ), Row::rows($stored));
    }
}
