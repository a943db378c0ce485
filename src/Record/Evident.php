<?php

declare(strict_types=1);

namespace Lustrum\Record;

use Lustrum\Core\Quantity\Units;
use Lustrum\Shared\Identifier;
use Lustrum\Shared\IdentifierValidator;
use Lustrum\Shared\UnitSymbol;
use Symfony\Component\Validator\Constraint;
use Symfony\Component\Validator\Constraints as Assert;
use Symfony\Component\Validator\Mapping\CascadingStrategy;
use Symfony\Component\Validator\Mapping\ClassMetadataInterface;
use Symfony\Component\Validator\Validator\ValidatorInterface;

/**
 * Knows of an input that plainly nothing is wrong with it, as of nearly all of a file's hundred thousand. Whatever it is not
 * sure of is for the validator, which alone says what is wrong: what is sound here is sound there.
 */
final class Evident
{
    /**
     * @var array<class-string, list<array{string, list<\Closure(mixed): bool>, bool}>|null> by property: checks, and whether it is
     *     gone into; null: nothing is known
     */
    private array $known = [];

    public function __construct(
        private readonly ValidatorInterface $metadata,
    ) {
    }

    public function isSound(object $input): bool
    {
        $class = $input::class;
        if (!array_key_exists($class, $this->known)) {
            $this->known[$class] = $this->checks($class);
        }
        if ($this->known[$class] === null) {
            return false;
        }
        foreach ($this->known[$class] as [$property, $checks, $goesInto]) {
            $value = $input->{$property};
            foreach ($checks as $check) {
                if (!$check($value)) {
                    return false;
                }
            }
            if ($goesInto && !$this->isSoundWithin($value)) {
                return false;
            }
        }

        return true;
    }

    private function isSoundWithin(mixed $value): bool
    {
        if (!is_array($value)) {
            return $value === null || (is_object($value) && $this->isSound($value));
        }
        foreach ($value as $one) {
            if (!is_object($one) || !$this->isSound($one)) {
                return false;
            }
        }

        return true;
    }

    /**
     * @param class-string $class
     *
     * @return list<array{string, list<\Closure(mixed): bool>, bool}>|null
     */
    private function checks(string $class): ?array
    {
        $of = $this->metadata->getMetadataFor($class);
        if (!$of instanceof ClassMetadataInterface || $of->getConstraints() !== [] || $of->hasGroupSequence() || $of->isGroupSequenceProvider()) {
            return null;
        }
        $out = [];
        foreach ($of->getConstrainedProperties() as $property) {
            if (!(new \ReflectionProperty($class, $property))->isPublic()) {
                return null;
            }
            foreach ($of->getPropertyMetadata($property) as $member) {
                $checks = array_map(self::check(...), array_values($member->getConstraints()));
                $out[] = [$property, $checks, $member->getCascadingStrategy() === CascadingStrategy::CASCADE];
            }
        }

        return $out;
    }

    /** @return \Closure(mixed): bool true where this constraint is surely met */
    private static function check(Constraint $c): \Closure
    {
        return match (true) {
            $c instanceof Identifier => static fn (mixed $v): bool => $v === null || (is_string($v) && IdentifierValidator::fits($v)),
            $c instanceof UnitSymbol => static fn (mixed $v): bool => $v === '' || (is_string($v) && strlen($v) <= 40 && mb_check_encoding($v, 'UTF-8') && Units::knows($v)),
            $c instanceof Assert\Length => self::length($c),
            $c instanceof Assert\NotBlank => static fn (mixed $v): bool => is_string($v) && trim($v) !== '',
            $c instanceof Assert\Range => self::range($c),
            $c instanceof Assert\Count => static fn (mixed $v): bool => is_array($v) && $c->divisibleBy === null
                && count($v) >= ($c->min ?? 0) && count($v) <= ($c->max ?? \PHP_INT_MAX),
            $c instanceof Assert\Choice => static fn (mixed $v): bool => !$c->multiple && $c->match && is_array($c->choices)
                && in_array($v, $c->choices, true),
            $c instanceof Assert\Type => static fn (mixed $v): bool => $c->type === 'string' && is_string($v),
            $c instanceof Assert\Compound => self::each($c->getNestedConstraints()),
            $c instanceof Assert\All => self::ofEach(self::each($c->getNestedConstraints())),
            default => static fn (): bool => false,
        };
    }

    /**
     * @param array<array-key, Constraint> $constraints
     *
     * @return \Closure(mixed): bool
     */
    private static function each(array $constraints): \Closure
    {
        $checks = array_map(self::check(...), array_values($constraints));

        return static function (mixed $v) use ($checks): bool {
            foreach ($checks as $check) {
                if (!$check($v)) {
                    return false;
                }
            }

            return true;
        };
    }

    /**
     * @param \Closure(mixed): bool $check
     *
     * @return \Closure(mixed): bool
     */
    private static function ofEach(\Closure $check): \Closure
    {
        return static fn (mixed $v): bool => is_array($v) && array_filter($v, static fn (mixed $one): bool => !$check($one)) === [];
    }

    /** @return \Closure(mixed): bool */
    private static function length(Assert\Length $c): \Closure
    {
        [$min, $max] = [$c->min ?? 0, $c->max ?? \PHP_INT_MAX];
        if ($c->normalizer !== null || $c->charset !== 'UTF-8' || $c->countUnit !== Assert\Length::COUNT_CODEPOINTS) {
            return static fn (): bool => false;
        }

        // As many bytes as characters are allowed are never too many; only what is longer is counted.
        return static fn (mixed $v): bool => $v === null || (is_string($v) && mb_check_encoding($v, 'UTF-8')
            && (strlen($v) <= $max || mb_strlen($v) <= $max) && ($min === 0 || mb_strlen($v) >= $min));
    }

    /** @return \Closure(mixed): bool */
    private static function range(Assert\Range $c): \Closure
    {
        [$min, $max] = [$c->min, $c->max];
        if ($c->minPropertyPath !== null || $c->maxPropertyPath !== null || (!is_int($min) && !is_float($min)) || (!is_int($max) && !is_float($max))) {
            return static fn (): bool => false;
        }

        return static fn (mixed $v): bool => $v === null || ((is_int($v) || is_float($v)) && $v >= $min && $v <= $max);
    }
}
