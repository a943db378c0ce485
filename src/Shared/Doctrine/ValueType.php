<?php

declare(strict_types=1);

namespace Lustrum\Shared\Doctrine;

use Doctrine\DBAL\Platforms\AbstractPlatform;
use Doctrine\DBAL\Types\Type;

/** A small value, or a list of them, kept in a JSONB column and handed to the entity as what it is. */
abstract class ValueType extends Type
{
    /** @param array<array-key, mixed> $stored */
    abstract protected function read(array $stored): mixed;

    final public function getSQLDeclaration(array $column, AbstractPlatform $platform): string
    {
        return 'JSONB';
    }

    final public function convertToDatabaseValue(mixed $value, AbstractPlatform $platform): ?string
    {
        return $value === null ? null : json_encode($value, \JSON_THROW_ON_ERROR | \JSON_PRESERVE_ZERO_FRACTION | \JSON_UNESCAPED_UNICODE);
    }

    final public function convertToPHPValue(mixed $value, AbstractPlatform $platform): mixed
    {
        if (!is_string($value)) {
            return null;
        }
        $stored = json_decode($value, true, 64, \JSON_THROW_ON_ERROR);

        return is_array($stored) ? $this->read($stored) : null;
    }
}
