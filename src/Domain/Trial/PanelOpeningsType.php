<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

use Lustrum\Core\Run\Row;
use Lustrum\Shared\Doctrine\ValueType;

final class PanelOpeningsType extends ValueType
{
    public const NAME = 'panel_openings';

    protected function read(array $stored): mixed
    {
        return array_map(PanelOpening::fromRow(...), Row::rows($stored));
    }
}
