<?php

declare(strict_types=1);

namespace Lustrum\Record;

use Symfony\Component\PropertyInfo\PropertyTypeExtractorInterface;
use Symfony\Component\TypeInfo\Type;
use Symfony\Component\TypeInfo\TypeIdentifier;

/**
 * Makes an input at once where all that was sent has the right type already, as in a file of ours. Whatever has not goes
 * the long way by the serializer, which can say what is wrong.
 */
final class Shapes
{
    /** @var array<class-string, array<string, array{Type, bool, mixed}>> by field: type, whether it may be left out, and what it is then */
    private array $known = [];

    public function __construct(
        private readonly PropertyTypeExtractorInterface $types,
    ) {
    }

    /**
     * @template T of object
     *
     * @param class-string<T>         $class
     * @param array<array-key, mixed> $row
     *
     * @return T|null null where something does not fit as it stands
     */
    public function make(string $class, array $row): ?object
    {
        $arguments = [];
        foreach ($this->known[$class] ??= $this->fields($class) as $name => [$type, $optional, $default]) {
            if (!array_key_exists($name, $row)) {
                if (!$optional) {
                    return null;
                }
                $arguments[] = $default;
            } elseif (!$this->fits($type, $row[$name], $arguments[])) {
                return null;
            }
        }

        return $arguments === [] ? null : new $class(...$arguments);
    }

    /**
     * @param mixed $made is what it becomes
     */
    private function fits(Type $type, mixed $value, mixed &$made): bool
    {
        $made = $value;
        if ($type instanceof Type\NullableType) {
            return $value === null || $this->fits($type->getWrappedType(), $value, $made);
        }
        if ($type instanceof Type\CollectionType) {
            return is_array($value) && array_is_list($value) && $this->list($type->getCollectionValueType(), $value, $made);
        }
        if ($type instanceof Type\BackedEnumType) {
            $made = is_string($value) ? $type->getClassName()::tryFrom($value) : null;

            return $made !== null;
        }
        if ($type instanceof Type\ObjectType) {
            $class = $type->getClassName();
            $made = is_array($value) && class_exists($class) ? $this->make($class, $value) : null;

            return $made !== null;
        }
        if (!$type instanceof Type\BuiltinType) {
            return false;
        }
        if ($type->getTypeIdentifier() === TypeIdentifier::FLOAT && is_int($value)) {
            $made = (float) $value;

            return true;
        }

        return match ($type->getTypeIdentifier()) {
            TypeIdentifier::STRING => is_string($value),
            TypeIdentifier::INT => is_int($value),
            TypeIdentifier::FLOAT => is_float($value),
            TypeIdentifier::BOOL => is_bool($value),
            default => false,
        };
    }

    /**
     * @param list<mixed> $values
     * @param mixed       $made   is the list that they become
     */
    private function list(Type $type, array $values, mixed &$made): bool
    {
        $out = [];
        foreach ($values as $value) {
            if (!$this->fits($type, $value, $one)) {
                return false;
            }
            $out[] = $one;
        }
        $made = $out;

        return true;
    }

    /**
     * @param class-string $class
     *
     * @return array<string, array{Type, bool, mixed}> none for what is no plain input
     */
    private function fields(string $class): array
    {
        $out = [];
        foreach ((new \ReflectionClass($class))->getConstructor()?->getParameters() ?? [] as $parameter) {
            $type = $this->types->getType($class, $parameter->getName());
            if ($type === null || !str_starts_with($class, 'Lustrum\\')) {
                return [];
            }
            $optional = $parameter->isDefaultValueAvailable();
            $out[$parameter->getName()] = [$type, $optional, $optional ? $parameter->getDefaultValue() : null];
        }

        return $out;
    }
}
