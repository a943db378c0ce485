<?php

declare(strict_types=1);

namespace Lustrum\Http\OpenApi;

use OpenApi\Annotations as OA;
use OpenApi\Context;
use Symfony\Component\PropertyInfo\PropertyInfoExtractorInterface;
use Symfony\Component\TypeInfo\Type;
use Symfony\Component\TypeInfo\Type\BackedEnumType;
use Symfony\Component\TypeInfo\Type\BuiltinType;
use Symfony\Component\TypeInfo\Type\CollectionType;
use Symfony\Component\TypeInfo\Type\NullableType;
use Symfony\Component\TypeInfo\Type\ObjectType;
use Symfony\Component\TypeInfo\Type\UnionType;
use Symfony\Component\TypeInfo\TypeIdentifier;

/** Turns the typed inputs and views of the application into schemas, by their constructors and docblocks. */
final class Schemas
{
    /** @var array<string, OA\Schema|null> null while one is being described */
    private array $known = [];

    public function __construct(
        private readonly PropertyInfoExtractorInterface $properties,
    ) {
    }

    /** @return list<OA\Schema> all that were named so far, by name */
    public function all(): array
    {
        ksort($this->known);

        return array_values(array_filter($this->known));
    }

    /** @param class-string $class */
    public function ref(string $class): string
    {
        // By the full name: two classes of one short name are two schemas.
        $name = str_replace('\\', '.', preg_replace('/^Lustrum\\\\/', '', $class) ?? $class);
        if (!array_key_exists($name, $this->known)) {
            $this->known[$name] = null;
            $this->known[$name] = enum_exists($class) ? $this->enum($name, $class) : $this->object($name, $class);
        }

        return '#/components/schemas/'.$name;
    }

    /** @param class-string<\UnitEnum> $class */
    private function enum(string $name, string $class): OA\Schema
    {
        return self::schema(
            [
                'schema' => $name, 'type' => 'string',
                'enum' => array_map(
                    static fn (\UnitEnum $e): string => $e instanceof \BackedEnum ? (string) $e->value : $e->name, $class::cases(),
                ),
            ],
        );
    }

    /** @param class-string $class */
    private function object(string $name, string $class): OA\Schema
    {
        $properties = $required = [];
        $defaults = [];
        $input = str_ends_with($name, 'Input');
        $reflection = new \ReflectionClass($class);
        foreach ($reflection->getConstructor()?->getParameters() ?? [] as $parameter) {
            $defaults[$parameter->getName()] = $parameter->isDefaultValueAvailable();
        }
        foreach ($reflection->getProperties(\ReflectionProperty::IS_PUBLIC) as $property) {
            $field = $property->getName();
            $type = $this->properties->getType($class, $field);
            $properties[] = self::property(['property' => $field] + ($type === null ? [] : $this->type($type)));
            if (!$input || !($defaults[$field] ?? false)) {
                $required[] = $field;
            }
        }

        return self::schema(
            ['schema' => $name, 'type' => 'object', 'properties' => $properties] + ($required === [] ? [] : ['required' => $required]),
        );
    }

    /** @return array<string, mixed> */
    private function type(Type $type): array
    {
        if ($type instanceof NullableType) {
            $inner = $this->type($type->getWrappedType());

            return isset($inner['ref']) || is_array($inner['type'] ?? null)
                ? ['oneOf' => [self::schema($inner), self::schema(['type' => 'null'])]]
                : ['type' => [$inner['type'] ?? 'object', 'null']] + $inner;
        }
        if ($type instanceof CollectionType) {
            return $type->isList()
                ? ['type' => 'array', 'items' => self::items($this->type($type->getCollectionValueType()))]
                : ['type' => 'object', 'additionalProperties' => true];
        }
        if ($type instanceof BackedEnumType || $type instanceof ObjectType) {
            $class = $type->getClassName();

            return class_exists($class) || enum_exists($class) ? ['ref' => $this->ref($class)] : ['type' => 'object'];
        }
        if ($type instanceof UnionType) {
            $types = array_map($this->type(...), $type->getTypes());

            return [
                'type' => array_values(
                    array_unique(array_map(static fn (array $t): string => is_string($t['type'] ?? null) ? $t['type'] : 'object', $types)),
                ),
            ];
        }
        if ($type instanceof BuiltinType) {
            return match ($type->getTypeIdentifier()) {
                TypeIdentifier::INT => ['type' => 'integer'],
                TypeIdentifier::FLOAT => ['type' => 'number'],
                TypeIdentifier::BOOL, TypeIdentifier::TRUE, TypeIdentifier::FALSE => ['type' => 'boolean'],
                TypeIdentifier::NULL => ['type' => 'null'],
                TypeIdentifier::ARRAY => ['type' => 'object', 'additionalProperties' => true],
                default => ['type' => 'string'],
            };
        }

        return ['type' => 'object', 'additionalProperties' => true];
    }

    /** @param array<string, mixed> $fields */
    private static function schema(array $fields): OA\Schema
    {
        return new OA\Schema($fields + ['_context' => new Context(['generated' => true])]);
    }

    /** @param array<string, mixed> $fields */
    private static function property(array $fields): OA\Property
    {
        return new OA\Property($fields + ['_context' => new Context(['generated' => true])]);
    }

    /** @param array<string, mixed> $fields */
    private static function items(array $fields): OA\Items
    {
        return new OA\Items($fields + ['_context' => new Context(['generated' => true])]);
    }
}
