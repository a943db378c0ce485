<?php

declare(strict_types=1);

namespace Lustrum\Domain\Method;

use Lustrum\Core\Run\Channel;
use Lustrum\Core\Run\Row;
use Lustrum\Shared\Doctrine\ValueType;

final class ChannelsType extends ValueType
{
    public const NAME = 'channels';

    protected function read(array $stored): mixed
    {
        return array_map(Channel::fromRow(...), Row::rows($stored));
    }
}
