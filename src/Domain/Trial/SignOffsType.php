<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

use Lustrum\Core\Run\Row;
use Lustrum\Shared\Doctrine\ValueType;

final class SignOffsType extends ValueType
{
    public const NAME = 'sign_offs';

    protected function read(array $stored): mixed
    {
        return array_map(SignOff::fromRow(...), Row::rows($stored));
    }
}
