<?php

declare(strict_types=1);

namespace Lustrum\Shared;

/** Small values kept in JSON columns, back as the types that they were. */
final class Stored
{
    /** @var array<class-string, array<string, array{class-string<\BackedEnum>|null, bool}>> */
    private static array $parameters = [];

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
        $arguments = [];
        foreach (self::parameters($class) as $name => [$enum, $float]) {
            if (!array_key_exists($name, $row)) {
                continue;
            }
            $value = $row[$name];
            if ($enum !== null && (is_string($value) || is_int($value))) {
                $value = $enum::from($value);
            }
            $arguments[$name] = $float && is_int($value) ? (float) $value : $value;
        }

        return new $class(...$arguments);
    }

    /**
     * What a constructor takes, looked up once: a sheet reads thousands of these.
     *
     * @param class-string $class
     *
     * @return array<string, array{class-string<\BackedEnum>|null, bool}> by name: its enum, and whether it is a float
     */
    private static function parameters(string $class): array
    {
        if (!isset(self::$parameters[$class])) {
            $parameters = [];
            foreach ((new \ReflectionClass($class))->getConstructor()?->getParameters() ?? [] as $parameter) {
                $type = $parameter->getType();
                $name = $type instanceof \ReflectionNamedType ? $type->getName() : '';
                $parameters[$parameter->getName()] = [is_subclass_of($name, \BackedEnum::class) ? $name : null, $name === 'float'];
            }
            self::$parameters[$class] = $parameters;
        }

        return self::$parameters[$class];
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
