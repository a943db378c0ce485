<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

use Lustrum\Shared\Doctrine\ValueType;

final class SignOffType extends ValueType
{
    public const NAME = 'sign_off';

    protected function read(array $stored): mixed
    {
        return SignOff::fromRow($stored);
    }
}
