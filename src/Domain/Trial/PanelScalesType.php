<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

use Lustrum\Core\Run\Row;
use Lustrum\Shared\Doctrine\ValueType;

final class PanelScalesType extends ValueType
{
    public const NAME = 'panel_scales';

    protected function read(array $stored): mixed
    {
        return array_map(PanelScale::fromRow(...), Row::rows($stored));
    }
}
