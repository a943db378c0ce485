<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

/** Columns of many runs as they are kept: bytes rather than text, of which each number would be read by itself. */
final class Columns
{
    /** @param list<float|null> $values */
    public static function floats(array $values): string
    {
        return $values === [] ? '' : pack('e*', ...array_map(static fn (?float $v): float => $v ?? \NAN, $values));
    }

    /** @return list<float|null> */
    public static function floatsOf(string $packed): array
    {
        return array_map(static fn (float $v): ?float => is_nan($v) ? null : $v, self::valuesOf($packed));
    }

    /** @return list<float> where none is missing */
    public static function valuesOf(string $packed): array
    {
        /** @var array<int, float>|false $values */
        $values = $packed === '' ? [] : unpack('e*', $packed);

        return $values === false ? [] : array_values($values);
    }

    /** @param list<int> $values from nought up to what 32 bits hold */
    public static function ints(array $values): string
    {
        return $values === [] ? '' : pack('V*', ...$values);
    }

    /** @return list<int> */
    public static function intsOf(string $packed): array
    {
        /** @var array<int, int>|false $values */
        $values = $packed === '' ? [] : unpack('V*', $packed);

        return $values === false ? [] : array_values($values);
    }
}
