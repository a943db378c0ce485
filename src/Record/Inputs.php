<?php

declare(strict_types=1);

namespace Lustrum\Record;

use Lustrum\Shared\Limit;
use Lustrum\Shared\Refusal\Invalid;
use Lustrum\Shared\Refusal\TooLarge;
use Lustrum\Shared\Refusal\Unreadable;
use Symfony\Component\Serializer\Exception\ExceptionInterface as SerializerException;
use Symfony\Component\Serializer\Exception\MissingConstructorArgumentsException;
use Symfony\Component\Serializer\Exception\NotNormalizableValueException;
use Symfony\Component\Serializer\Exception\PartialDenormalizationException;
use Symfony\Component\Serializer\Normalizer\AbstractNormalizer;
use Symfony\Component\Serializer\Normalizer\DenormalizerInterface;
use Symfony\Component\Validator\ConstraintViolationInterface;
use Symfony\Component\Validator\Validator\ValidatorInterface;

/**
 * Makes inputs from what was sent, by whatever way: typed values of the right shape, checked. What a sheet could not
 * read does not get past here.
 */
final readonly class Inputs
{
    private const DEPTH = 64;

    /** Only what has one of these in it can hold a null character, or a number that is none: nothing else is gone through. */
    private const ODD = '/\\\\u0000|\d[eE]\+?\d{3}|\d{300}/';

    public function __construct(
        private DenormalizerInterface $denormalizer,
        private ValidatorInterface $validator,
        private Shapes $shapes,
        private Evident $evident,
        private Counted $counted,
    ) {
    }

    /**
     * The body of a request, decoded once.
     *
     * @return array<array-key, mixed>
     *
     * @throws Unreadable|Invalid|TooLarge
     */
    public static function decode(string $body, int $mostValues = Limit::VALUES): array
    {
        Counted::text($body, $mostValues);
        $decoded = json_decode($body, true, self::DEPTH);
        if (json_last_error() !== \JSON_ERROR_NONE || !is_array($decoded)) {
            throw Unreadable::json();
        }
        if (preg_match(self::ODD, $body) !== 1) {
            return $decoded;
        }
        array_walk_recursive($decoded, static function (mixed $value, int|string $key): void {
            if ((is_string($value) && str_contains($value, "\0")) || str_contains((string) $key, "\0")) {
                throw Invalid::at(
                    str_replace("\0", '', (string) $key), 'There is a character in this text that cannot be stored (a null). Take it out.',
                );
            }
            if (is_float($value) && !is_finite($value)) {
                throw Invalid::at((string) $key, 'This number is larger than can be kept (1e300 at most).');
            }
        });

        return $decoded;
    }

    /**
     * @template T of object
     *
     * @param class-string<T>         $class
     * @param array<array-key, mixed> $row
     *
     * @return T
     *
     * @throws Invalid
     */
    public function read(string $class, array $row): object
    {
        if ($row !== [] && array_is_list($row)) {
            throw Invalid::at('', 'An object with named fields is wanted here.');
        }
        $this->counted->check($class, $row);
        $input = $this->shapes->make($class, $row) ?? $this->denormalize($class, $row);
        self::mustBeLists($input, '');
        if ($this->evident->isSound($input)) {
            return $input;
        }
        $violations = [];
        foreach ($this->validator->validate($input) as $violation) {
            $violations[] = ['path' => $violation->getPropertyPath(), 'message' => self::words($violation)];
        }

        return $violations === [] ? $input : throw Invalid::because($violations);
    }

    /**
     * @template T of object
     *
     * @param class-string<T>         $class
     * @param array<array-key, mixed> $row
     *
     * @return T
     */
    private function denormalize(string $class, array $row): object
    {
        try {
            $input = $this->denormalizer->denormalize($row, $class, 'json', [
                AbstractNormalizer::ALLOW_EXTRA_ATTRIBUTES => true, 'collect_denormalization_errors' => true,
            ]);
        } catch (PartialDenormalizationException $e) {
            $violations = [];
            foreach ($e->getErrors() as $error) {
                $violations[] = ['path' => $error->getPath() ?? '', 'message' => self::wanted($error)];
            }
            throw $violations === [] ? Invalid::at('', 'This cannot be read.') : Invalid::because($violations);
        } catch (MissingConstructorArgumentsException $e) {
            $missing = array_map(
                static fn (string $f): array => ['path' => $f, 'message' => 'This is still empty.'],
                array_values($e->getMissingConstructorArguments()),
            );
            throw $missing === [] ? Invalid::at('', 'This cannot be read.') : Invalid::because($missing);
        } catch (NotNormalizableValueException $e) {
            throw Invalid::at($e->getPath() ?? '', self::wanted($e));
        } catch (SerializerException|\TypeError|\ValueError|\ArgumentCountError) {
            throw Invalid::at('', 'This does not have the shape that it should have.');
        }

        return $input instanceof $class ? $input : throw Invalid::at('', 'This cannot be read.');
    }

    /** A list is a list, and each of its entries is there. */
    private static function mustBeLists(object $input, string $at): void
    {
        foreach (get_object_vars($input) as $name => $value) {
            $path = $at === '' ? $name : $at.'.'.$name;
            if (is_object($value) && !$value instanceof \UnitEnum) {
                self::mustBeLists($value, $path);
            }
            if (!is_array($value)) {
                continue;
            }
            if (!array_is_list($value)) {
                throw Invalid::at($path, 'A list is wanted here.');
            }
            foreach ($value as $i => $entry) {
                if ($entry === null) {
                    throw Invalid::at(sprintf('%s[%d]', $path, $i), 'This entry is empty.');
                }
                if (is_object($entry)) {
                    self::mustBeLists($entry, sprintf('%s[%d]', $path, $i));
                }
            }
        }
    }

    private static function wanted(NotNormalizableValueException $error): string
    {
        $types = $error->getExpectedTypes() ?? [];
        if ($error->getCurrentType() === 'null' || ($error->getCurrentType() === 'unknown' && $types === [])) {
            return 'This is still empty.';
        }

        return self::kind($types);
    }

    /** @param array<array-key, string> $types */
    private static function kind(array $types): string
    {
        $has = static fn (string ...$names): bool => array_filter($types, static fn (string $t): bool => in_array($t, $names, true)) !== [];

        return match (true) {
            $has('float', 'int') && !$has('string') => 'A number is wanted here.',
            $has('bool') => 'Yes or no is wanted here.',
            $has('array') || array_filter(
                $types, static fn (string $t): bool => str_contains($t, '[]') || str_starts_with($t, 'list'),
            ) !== [] => 'A list is wanted here.',
            $has('string') && count($types) === 1 => 'A text is wanted here.',
            default => 'One of the given choices is wanted here.',
        };
    }

    private static function words(ConstraintViolationInterface $violation): string
    {
        return (string) $violation->getMessage();
    }
}
