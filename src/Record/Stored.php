<?php

declare(strict_types=1);

namespace Lustrum\Record;

/** Small values kept in JSON columns, back as the types that they were. */
final class Stored
{
    /**
     * @template T of object
     *
     * @param class-string<T>             $class
     * @param list<array<string, mixed>> $rows  by the names of the constructor's parameters
     *
     * @return list<T>
     */
    public static function list(string $class, array $rows): array
    {
        return array_map(static fn (array $row): object => self::one($class, $row), $rows);
    }

    /**
     * @template T of object
     *
     * @param class-string<T>      $class
     * @param array<string, mixed> $row
     *
     * @return T
     */
    public static function one(string $class, array $row): object
    {
        $reflection = new \ReflectionClass($class);
        $arguments = [];
        foreach ($reflection->getConstructor()?->getParameters() ?? [] as $parameter) {
            $name = $parameter->getName();
            if (!array_key_exists($name, $row)) {
                continue;
            }
            $type = $parameter->getType();
            $value = $row[$name];
            if (!$value instanceof \BackedEnum && $type instanceof \ReflectionNamedType && is_subclass_of($type->getName(), \BackedEnum::class) && (is_string($value) || is_int($value))) {
                $value = $type->getName()::from($value);
            }
            $arguments[$name] = $type instanceof \ReflectionNamedType && $type->getName() === 'float' && is_int($value) ? (float) $value : $value;
        }

        return $reflection->newInstanceArgs($arguments);
    }

    /**
     * @param list<object> $values
     *
     * @return list<array<string, mixed>>
     */
    public static function rows(array $values): array
    {
        /** @var list<array<string, mixed>> $rows */
        $rows = json_decode(json_encode($values, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION), true, 64, JSON_THROW_ON_ERROR);

        return $rows;
    }
}
