<?php

declare(strict_types=1);

namespace Lustrum\Core\Working;

use Lustrum\Core\CoreException;
use Lustrum\Core\InvalidInput;
use Lustrum\Core\NotEstimable;

/** What was entered into the fields of a sum, read and held against what they take. */
final readonly class Entered
{
    /** Values in one list. */
    public const MOST = 60;

    /**
     * @param array<string, float>               $u        standard uncertainties of single values, in SI, by input
     * @param array<string, array<int, float>>   $uOfMany  of values in lists, by input and place
     * @param array<string, CoreException>       $problems by input
     */
    private function __construct(
        public Given $given,
        public array $u,
        public array $uOfMany,
        public array $problems,
    ) {
    }

    /** @param array<array-key, Entry|list<Entry>|string> $entries by input; what is not given is not in it */
    public static function read(About $about, array $entries): self
    {
        $ones = $many = $choices = $u = $uOfMany = $problems = [];
        foreach (array_diff(array_map(strval(...), array_keys($entries)), array_column($about->inputs, 'name')) as $name) {
            $problems[$name] = InvalidInput::unknownField($name);
        }
        foreach ($about->inputs as $field) {
            try {
                $entry = $entries[$field->name] ?? null;
                if ($field->kind === FieldKind::Lines) {
                    $choices[$field->name] = is_string($entry) ? $entry : throw InvalidInput::because('Nothing is said here yet.');
                } elseif ($field->kind === FieldKind::Choice) {
                    $choices[$field->name] = self::chosen($field, $entry);
                } elseif ($field->kind === FieldKind::Many) {
                    [$many[$field->name], $uOfMany[$field->name]] = self::all($field, $entry);
                } else {
                    [$ones[$field->name], $u[$field->name]] = self::one($field, $entry);
                }
            } catch (CoreException $e) {
                $problems[$field->name] = $e;
            }
        }

        return new self(
            new Given($ones, array_filter($many), $choices), array_filter($u),
            array_filter(array_map(array_filter(...), $uOfMany)), $problems,
        );
    }

    /** @throws CoreException the first that is wrong, at its place */
    public function mustBeRight(): void
    {
        foreach ($this->problems as $name => $problem) {
            throw $problem->path === $name ? $problem->under('inputs') : $problem->under('inputs/'.$name);
        }
    }

    private static function chosen(Field $field, mixed $entry): string
    {
        $chosen = $entry ?? $field->default;
        if (!is_string($chosen) || !in_array($chosen, $field->choices, true)) {
            throw InvalidInput::because('One of these is wanted here: '.implode(', ', $field->choices).'.');
        }

        return $chosen;
    }

    /** @return array{float|null, float} in SI */
    private static function one(Field $field, mixed $entry): array
    {
        if ($entry === null && !$field->needed) {
            return [is_float($field->default) ? (new Entry($field->default, $field->unit))->si($field->unit)[0] : null, 0.0];
        }
        if (!$entry instanceof Entry) {
            throw InvalidInput::because($entry === null ? $field->words.' is needed.' : 'One value is wanted here.');
        }

        return self::held($field, $entry);
    }

    /** @return array{list<float>, list<float>} in SI */
    private static function all(Field $field, mixed $entry): array
    {
        if ($entry === null && !$field->needed) {
            return [[], []];
        }
        if (!is_array($entry) || $entry === []) {
            throw InvalidInput::because(
                $entry === null || $entry === [] ? $field->words.' are needed.' : 'A list of values is wanted here.',
            );
        }
        if (count($entry) > self::MOST) {
            throw InvalidInput::because(sprintf('At most %d values can be taken.', self::MOST));
        }
        $values = $us = [];
        foreach (array_values($entry) as $i => $one) {
            try {
                [$values[], $us[]] = $one instanceof Entry ? self::held($field, $one) : throw InvalidInput::because(
                    'A value is wanted here.',
                );
            } catch (CoreException $e) {
                throw $e->under((string) $i);
            }
        }

        return [$values, $us];
    }

    /** @return array{float, float} in SI, where it lies within what the field takes */
    private static function held(Field $field, Entry $entry): array
    {
        [$si, $u] = $entry->si($field->unit);
        if (!is_finite($si) || !is_finite($u) || abs($si) > 1e100 || $u < 0.0) {
            throw InvalidInput::because('That is beyond what can be reckoned with.');
        }
        $value = Entry::said($si, $field->unit, $field->unit);
        $in = $field->unit === '1' ? '' : ' '.$field->unit;
        if ($field->isWhole && abs($value - round($value)) > 1e-9) {
            throw InvalidInput::because('A whole number is wanted here.');
        }
        if ($field->low !== null && ($field->above ? $value <= $field->low : $value < $field->low)) {
            throw InvalidInput::because(sprintf(
                '%s %g%s is wanted here.', $field->above ? 'More than' : 'At least', $field->low, $field->low === 0.0 ? '' : $in,
            ));
        }
        if ($field->high !== null && ($field->below ? $value >= $field->high : $value > $field->high)) {
            throw InvalidInput::because(sprintf('%s %g%s is wanted here.', $field->below ? 'Less than' : 'At most', $field->high, $in));
        }

        return [$si, $u];
    }

    /** Where a sum comes to no number. */
    public static function undefined(string $sentence, string $path = ''): NotEstimable
    {
        return NotEstimable::because('value.undefined', $sentence, $path);
    }

    public static function unreachable(string $sentence, string $path = ''): NotEstimable
    {
        return NotEstimable::because('target.unreachable', $sentence, $path);
    }
}
