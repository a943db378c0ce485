<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

use Lustrum\Core\Run\Configuration;
use Lustrum\Shared\Doctrine\ValueType;

final class ConfigurationType extends ValueType
{
    public const NAME = 'configuration';

    protected function read(array $stored): mixed
    {
        return Configuration::fromRow($stored);
    }
}
