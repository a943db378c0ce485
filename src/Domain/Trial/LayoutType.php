<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

use Lustrum\Core\Plan\Layout;
use Lustrum\Shared\Doctrine\ValueType;

final class LayoutType extends ValueType
{
    public const NAME = 'layout';

    protected function read(array $stored): mixed
    {
        return Layout::fromRow($stored);
    }
}
