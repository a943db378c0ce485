<?php

declare(strict_types=1);

namespace Lustrum\Domain\Revision;

use Lustrum\Core\Run\Row;
use Lustrum\Shared\Doctrine\ValueType;

final class ArmsType extends ValueType
{
    public const NAME = 'arms';

    protected function read(array $stored): mixed
    {
        return array_map(static fn (array $row): Arm => new Arm(
            Row::text($row['name'] ?? ''), array_map(
                static fn (array $v): ArmValue => new ArmValue(Row::text($v['name'] ?? ''), Row::text($v['text'] ?? '')),
                Row::rows($row['values'] ?? []),
            ), Row::whole($row['planned'] ?? 1), Row::text($row['eliminated'] ?? ''),
        ), Row::rows($stored));
    }
}
