<?php

declare(strict_types=1);

namespace Lustrum\Domain\Revision;

use Lustrum\Core\Run\Row;
use Lustrum\Shared\Doctrine\ValueType;

final class ArticleUsesType extends ValueType
{
    public const NAME = 'article_uses';

    protected function read(array $stored): mixed
    {
        return array_map(static fn (array $row): ArticleUse => new ArticleUse(
            Row::text($row['day'] ?? ''), Row::text($row['howLong'] ?? ''), Row::text($row['what'] ?? ''), Row::text($row['wrong'] ?? ''),
            Row::text($row['method'] ?? ''), Row::texts($row['levels'] ?? []), Row::texts($row['without'] ?? []),
        ), Row::rows($stored));
    }
}
