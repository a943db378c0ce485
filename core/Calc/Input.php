<?php

declare(strict_types=1);

namespace Lustrum\Core\Calc;

use Lustrum\Core\InvalidInput;
use Lustrum\Core\NumberRange;

/** Typed reading of decoded JSON; every complaint carries the path of the field. */
final readonly class Input
{
    public const MOST_VALUES = 1_000_000;

    /** Runs, each with its fields, are taken in by the hundred thousand: a workshop has thousands. */
    public const MOST_OBJECTS = 100_000;

    /** Squares of it must not overflow, those of the smallest not vanish. */
    private const LARGEST = 1e150;
    private const SMALLEST = 1e-150;

    /** @param array<array-key, mixed> $fields */
    public function __construct(
        private array $fields,
        private string $path = '',
    ) {
    }

    /**
     * @param list<string> $allowed
     *
     * @throws InvalidInput
     */
    public function only(array $allowed): void
    {
        foreach (array_keys($this->fields) as $name) {
            if (!in_array((string) $name, $allowed, true)) {
                throw InvalidInput::unknownField($this->at((string) $name));
            }
        }
    }

    public function has(string $name): bool
    {
        return ($this->fields[$name] ?? null) !== null;
    }

    /** @throws InvalidInput */
    public function text(string $name, ?string $default = null): string
    {
        $value = $this->fields[$name] ?? $default;

        return is_string($value) ? $value : throw InvalidInput::because('A text is wanted here.', $this->at($name));
    }

    public function textOrNull(string $name): ?string
    {
        return $this->has($name) ? $this->text($name) : null;
    }

    /** @throws InvalidInput */
    public function flag(string $name, bool $default = false): bool
    {
        $value = $this->fields[$name] ?? $default;

        return is_bool($value) ? $value : throw InvalidInput::because('true or false is wanted here.', $this->at($name));
    }

    public function number(string $name, ?float $default = null): float
    {
        return self::float($this->fields[$name] ?? $default, $this->at($name));
    }

    public function numberOrNull(string $name): ?float
    {
        return $this->has($name) ? $this->number($name) : null;
    }

    /** @throws InvalidInput */
    public function whole(string $name, ?int $default = null): int
    {
        $value = $this->number($name, $default === null ? null : (float) $default);
        if ($value !== floor($value) || abs($value) > 9e15) {
            throw InvalidInput::because('A whole number is wanted here.', $this->at($name));
        }

        return (int) $value;
    }

    /**
     * Confidence from 0.5 to 0.9999; 0.95 where not given.
     *
     * @throws InvalidInput
     */
    public function confidence(string $name = 'confidence'): float
    {
        $value = $this->number($name, 0.95);

        return $value >= 0.5 && $value <= 0.9999 ? $value : throw InvalidInput::because(
            'Confidence lies between 0.5 and 0.9999.', $this->at($name),
        );
    }

    /** @return list<float> */
    public function numbers(string $name): array
    {
        $out = [];
        foreach ($this->list($name) as $i => $value) {
            // Long lists come by here: where a value stands is put together only for one that is wrong.
            $out[] = is_float($value) && self::isInRange($value) ? $value : self::float($value, $this->at($name).'/'.$i);
        }

        return $out;
    }

    /**
     * @return list<int>
     *
     * @throws InvalidInput
     */
    public function wholes(string $name): array
    {
        return array_map(
            fn (float $v, int $i): int => $v === floor($v) && abs($v) <= 9e15 ? (int) $v : throw InvalidInput::because(
                'A whole number is wanted here.', $this->at($name).'/'.$i,
            ),
            $v = $this->numbers($name), array_keys($v),
        );
    }

    /** @return list<float|null> */
    public function numbersOrNulls(string $name): array
    {
        $out = [];
        foreach ($this->list($name) as $i => $value) {
            $out[] = $value === null || (
                is_float($value)
                && self::isInRange($value)
            ) ? $value : self::float($value, $this->at($name).'/'.$i);
        }

        return $out;
    }

    /**
     * @return list<bool>
     *
     * @throws InvalidInput
     */
    public function flags(string $name): array
    {
        $out = [];
        foreach ($this->list($name) as $i => $value) {
            $out[] = is_bool($value) ? $value : throw InvalidInput::because('true or false is wanted here.', $this->at($name).'/'.$i);
        }

        return $out;
    }

    public function isObject(string $name): bool
    {
        return is_array($this->fields[$name] ?? null) && !array_is_list($this->fields[$name]);
    }

    /** Is this a list whose first entry is an object? */
    public function hasObjects(string $name): bool
    {
        return $this->hasList($name) && is_array($this->list($name)[0] ?? null) && !array_is_list($this->list($name)[0]);
    }

    /** @return list<string> of all that is given */
    public function names(): array
    {
        return array_map(strval(...), array_keys($this->fields));
    }

    public function hasList(string $name): bool
    {
        return is_array($this->fields[$name] ?? null) && array_is_list($this->fields[$name]);
    }

    /** Is this a list whose first entry is itself a list? */
    public function hasRows(string $name): bool
    {
        return $this->hasList($name) && is_array($this->list($name)[0] ?? null);
    }

    /** @return list<list<float>> */
    public function rows(string $name): array
    {
        $out = [];
        foreach ($this->list($name) as $i => $row) {
            $out[] = (new self([(string) $i => $row], $this->at($name)))->numbers((string) $i);
        }

        return $out;
    }

    /** @return list<list<string>> nothing where it is not given */
    public function lists(string $name): array
    {
        $out = [];
        foreach ($this->has($name) ? $this->list($name) : [] as $i => $row) {
            $out[] = (new self([(string) $i => $row], $this->at($name)))->texts((string) $i);
        }

        return $out;
    }

    /** @return array<string, string> an object whose values are texts */
    public function textMap(string $name): array
    {
        $object = $this->object($name);
        $out = [];
        foreach (array_keys($object->fields) as $key) {
            $out[(string) $key] = $object->text((string) $key);
        }

        return $out;
    }

    /**
     * @return list<string>
     *
     * @throws InvalidInput
     */
    public function texts(string $name): array
    {
        $out = [];
        foreach ($this->has($name) ? $this->list($name) : [] as $i => $value) {
            $out[] = is_string($value) ? $value : throw InvalidInput::because('A text is wanted here.', $this->at($name).'/'.$i);
        }

        return $out;
    }

    /** @throws InvalidInput */
    public function object(string $name): self
    {
        $value = $this->fields[$name] ?? null;

        return is_array($value) && ($value === [] || !array_is_list($value)) ? new self($value, $this->at($name)) : throw InvalidInput::because(
            'An object is wanted here.', $this->at($name),
        );
    }

    /**
     * @return list<self>
     *
     * @throws InvalidInput
     */
    public function objects(string $name): array
    {
        $out = [];
        $list = $this->has($name) ? $this->list($name) : [];
        if (count($list) > self::MOST_OBJECTS) {
            throw InvalidInput::because(sprintf('At most %d of these can be taken.', self::MOST_OBJECTS), $this->at($name));
        }
        foreach ($list as $i => $value) {
            $out[] = is_array($value) ? new self($value, $this->at($name).'/'.$i) : throw InvalidInput::because(
                'An object is wanted here.', $this->at($name).'/'.$i,
            );
        }

        return $out;
    }

    /** @return array<string, self> an object whose values are objects */
    public function map(string $name): array
    {
        if (!$this->has($name)) {
            return [];
        }
        $object = $this->object($name);
        $out = [];
        foreach (array_keys($object->fields) as $key) {
            $out[(string) $key] = $object->object((string) $key);
        }

        return $out;
    }

    /** @return array<string, list<string>> an object whose values are lists of texts */
    public function textLists(string $name): array
    {
        if (!$this->has($name)) {
            return [];
        }
        $object = $this->object($name);
        $out = [];
        foreach (array_keys($object->fields) as $key) {
            $out[(string) $key] = $object->texts((string) $key);
        }

        return $out;
    }

    /**
     * @template T of \BackedEnum
     *
     * @param class-string<T> $enum
     * @param T|null          $default
     *
     * @return T
     *
     * @throws InvalidInput
     */
    public function one(string $name, string $enum, ?\BackedEnum $default = null): \BackedEnum
    {
        if ($default !== null && !$this->has($name)) {
            return $default;
        }
        $value = $enum::tryFrom($this->text($name));

        return $value ?? throw InvalidInput::because(
            'One of these is wanted here: '.implode(
                ', ', array_map(static fn (\BackedEnum $e): string => (string) $e->value, $enum::cases()),
            ).'.',
            $this->at($name),
        );
    }

    public function at(string $name): string
    {
        return $this->path === '' ? $name : $this->path.'/'.$name;
    }

    /** @return list<mixed> */
    private function list(string $name): array
    {
        $value = $this->fields[$name] ?? null;
        if (!is_array($value) || !array_is_list($value)) {
            throw InvalidInput::because('A list is wanted here.', $this->at($name));
        }
        if (count($value) > self::MOST_VALUES) {
            throw InvalidInput::because(sprintf('At most %d values can be taken.', self::MOST_VALUES), $this->at($name));
        }

        return $value;
    }

    private static function float(mixed $value, string $path): float
    {
        if ((!is_int($value) && !is_float($value)) || !is_finite((float) $value)) {
            throw InvalidInput::notANumber($path);
        }

        return self::isInRange((float) $value) ? (float) $value : throw NumberRange::of($path);
    }

    private static function isInRange(float $value): bool
    {
        return $value === 0.0 || (abs($value) <= self::LARGEST && abs($value) >= self::SMALLEST);
    }
}
