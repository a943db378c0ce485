<?php

declare(strict_types=1);

namespace Lustrum\Core\Working;

use Lustrum\Core\CoreException;
use Lustrum\Core\InvalidInput;
use Lustrum\Core\Quantity\Typed;
use Lustrum\Core\Quantity\TypedKind;

/** What is typed into the fields of a sum: `12.5 mm ± 0.1`, a number in the unit beside it, a list with `;` between. */
final class Typing
{
    /**
     * @param array<string, string> $texts by input; empty ones are not given
     *
     * @return array{array<string, Entry|list<Entry>|string>, array<string, CoreException>} entries, and what cannot be read, by input
     */
    public static function read(About $about, array $texts): array
    {
        $entries = $problems = [];
        foreach ($about->inputs as $field) {
            $text = trim($texts[$field->name] ?? '');
            if ($text === '') {
                continue;
            }
            try {
                $entries[$field->name] = match ($field->kind) {
                    FieldKind::Choice, FieldKind::Lines => $text,
                    FieldKind::One => self::one($text, $field->unit),
                    FieldKind::Many => array_map(
                        static fn (string $one): Entry => self::one($one, $field->unit),
                        array_values(array_filter(
                            array_map(trim(...), preg_split('/[;\n]/', $text) ?: []),
                            static fn (string $one): bool => $one !== '',
                        )),
                    ),
                };
            } catch (CoreException $e) {
                $problems[$field->name] = $e;
            }
        }

        return [$entries, $problems];
    }

    /** @throws CoreException */
    public static function one(string $text, string $unit): Entry
    {
        $typed = Typed::read($text, null, $unit);
        if ($typed->kind !== TypedKind::Equal || $typed->value === null || $typed->unit === null) {
            throw InvalidInput::because('One value is wanted here, as 12.5 or 12.5 ± 0.1.');
        }

        return new Entry($typed->value, $typed->unit->symbol, $typed->u ?? 0.0);
    }
}
