<?php

declare(strict_types=1);

namespace Lustrum\Shared\Doctrine;

use Doctrine\DBAL\Platforms\AbstractPlatform;
use Doctrine\DBAL\Types\FloatType;

/** A number to its last bit: as a text, PHP hands on fourteen digits only, and what comes back is another number. */
final class ExactFloatType extends FloatType
{
    public function convertToDatabaseValue(mixed $value, AbstractPlatform $platform): ?string
    {
        return is_float($value) || is_int($value) ? json_encode($value, \JSON_THROW_ON_ERROR | \JSON_PRESERVE_ZERO_FRACTION) : null;
    }
}
