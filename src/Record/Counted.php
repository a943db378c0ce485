<?php

declare(strict_types=1);

namespace Lustrum\Record;

use Lustrum\Shared\Limit;
use Lustrum\Shared\Refusal\Invalid;
use Lustrum\Shared\Refusal\TooLarge;
use Symfony\Component\PropertyInfo\PropertyTypeExtractorInterface;
use Symfony\Component\TypeInfo\Type;
use Symfony\Component\Validator\Constraint;
use Symfony\Component\Validator\Constraints as Assert;
use Symfony\Component\Validator\Mapping\ClassMetadataInterface;
use Symfony\Component\Validator\Validator\ValidatorInterface;

/**
 * Counts what was sent before anything is made of it: how much there is in a body at all, and how long each list of an input
 * is, against the limit that its constraint states. What is too much costs no more than the counting.
 */
final class Counted
{
    /** @var array<class-string, array<string, array{int, string, class-string|null}>> of each list: limit, sentence, class of its entries */
    private array $known = [];

    /** @var array<class-string, array<string, class-string>> fields that are inputs themselves */
    private array $within = [];

    public function __construct(
        private readonly PropertyTypeExtractorInterface $types,
        private readonly ValidatorInterface $metadata,
    ) {
    }

    /**
     * How many values and brackets a text of JSON has; what stands in its strings is none.
     *
     * @throws TooLarge
     */
    public static function text(string $body, int $most): void
    {
        if (self::marks($body) <= $most) {
            return;
        }
        // Some of them may stand in strings; what is longer than anybody types is not looked through for that.
        $bare = strlen($body) > Limit::BODY_BYTES ? $body : (string) preg_replace('/"(?:[^"\\\\]++|\\\\.)*+"/s', '', $body);
        if (self::marks($bare) > $most) {
            throw TooLarge::values($most);
        }
    }

    private static function marks(string $json): int
    {
        return substr_count($json, ',') + substr_count($json, '[') + substr_count($json, '{');
    }

    /**
     * @param class-string            $class
     * @param array<array-key, mixed> $row
     *
     * @throws Invalid at the lists that are too long
     */
    public function check(string $class, array $row): void
    {
        $violations = $this->tooLong($class, $row, '');
        if ($violations !== []) {
            throw Invalid::because($violations);
        }
    }

    /**
     * @param class-string            $class
     * @param array<array-key, mixed> $row
     *
     * @return list<array{path: string, message: string}>
     */
    private function tooLong(string $class, array $row, string $at): array
    {
        if (!isset($this->known[$class])) {
            $this->learn($class);
        }
        $violations = [];
        foreach ($this->known[$class] as $field => [$most, $words, $entry]) {
            $list = $row[$field] ?? null;
            if (!is_array($list)) {
                continue;
            }
            if (count($list) > $most) {
                $violations[] = ['path' => $at.$field, 'message' => $words];
            } elseif ($entry !== null) {
                foreach ($list as $i => $one) {
                    $violations = is_array($one)
                        ? [...$violations, ...$this->tooLong($entry, $one, sprintf('%s%s[%s].', $at, $field, $i))] : $violations;
                }
            }
        }
        foreach ($this->within[$class] as $field => $inner) {
            $one = $row[$field] ?? null;
            $violations = is_array($one) ? [...$violations, ...$this->tooLong($inner, $one, $at.$field.'.')] : $violations;
        }

        return $violations;
    }

    /**
     * What there is to know of the lists of an input: each has a limit, stated or the common one.
     *
     * @param class-string $class
     */
    private function learn(string $class): void
    {
        $this->known[$class] = $this->within[$class] = [];
        if (!str_starts_with($class, 'Lustrum\\')) {
            return;
        }
        foreach ((new \ReflectionClass($class))->getConstructor()?->getParameters() ?? [] as $parameter) {
            $field = $parameter->getName();
            $type = $this->types->getType($class, $field);
            $type = $type instanceof Type\NullableType ? $type->getWrappedType() : $type;
            if ($type instanceof Type\CollectionType) {
                $entry = $type->getCollectionValueType();
                $inner = $entry instanceof Type\ObjectType && !$entry instanceof Type\EnumType ? self::input($entry) : null;
                $this->known[$class][$field] = [...$this->limit($class, $field), $inner];
            } elseif ($type instanceof Type\ObjectType && !$type instanceof Type\EnumType && self::input($type) !== null) {
                $this->within[$class][$field] = self::input($type);
            }
        }
    }

    /**
     * @param Type\ObjectType<class-string> $type
     *
     * @return class-string|null
     */
    private static function input(Type\ObjectType $type): ?string
    {
        $class = $type->getClassName();

        return class_exists($class) ? $class : null;
    }

    /**
     * @param class-string $class
     *
     * @return array{int, string}
     */
    private function limit(string $class, string $field): array
    {
        $of = $this->metadata->getMetadataFor($class);
        $constraints = [];
        foreach ($of instanceof ClassMetadataInterface ? $of->getPropertyMetadata($field) : [] as $member) {
            $constraints = [...$constraints, ...$member->getConstraints()];
        }
        $count = self::counting($constraints);

        return $count !== null && $count->max !== null
            ? [$count->max, str_replace('{{ limit }}', (string) $count->max, $count->maxMessage)]
            : [Limit::LIST, sprintf('At most %d entries.', Limit::LIST)];
    }

    /** @param array<array-key, Constraint> $constraints */
    private static function counting(array $constraints): ?Assert\Count
    {
        foreach ($constraints as $constraint) {
            $found = match (true) {
                $constraint instanceof Assert\Count => $constraint,
                $constraint instanceof Assert\Compound => self::counting($constraint->getNestedConstraints()),
                default => null,
            };
            if ($found !== null) {
                return $found;
            }
        }

        return null;
    }
}
