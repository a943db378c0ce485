<?php

declare(strict_types=1);

namespace Lustrum\Core\Run;

/** Reads loose values, as a database or a file hands them over, as what they should be; what does not fit becomes empty. */
final class Row
{
    public static function text(mixed $value): string
    {
        return is_scalar($value) ? (string) $value : '';
    }

    /**
     * @param array<mixed> $row
     *
     * @return list<string>
     */
    public static function cells(array $row): array
    {
        $out = [];
        foreach ($row as $cell) {
            $out[] = is_scalar($cell) ? (string) $cell : '';
        }

        return $out;
    }

    public static function textOrNull(mixed $value): ?string
    {
        return is_string($value) && $value !== '' ? $value : null;
    }

    public static function number(mixed $value): float
    {
        return is_numeric($value) ? (float) $value : 0.0;
    }

    public static function numberOrNull(mixed $value): ?float
    {
        return is_numeric($value) && is_finite((float) $value) ? (float) $value : null;
    }

    public static function whole(mixed $value): int
    {
        return is_numeric($value) ? (int) $value : 0;
    }

    /** @return list<array<array-key, mixed>> */
    public static function rows(mixed $value): array
    {
        return is_array($value) ? array_values(array_filter($value, is_array(...))) : [];
    }

    /**
     * Texts by name, as levels, conditions and settings of a run are kept.
     *
     * @return array<string, string>
     */
    public static function found(mixed $json): array
    {
        $out = [];
        foreach (self::rows(self::json($json)) as $row) {
            $out[self::text($row['name'] ?? '')] = self::text($row['text'] ?? '');
        }

        return $out;
    }

    /** @return list<string> */
    public static function texts(mixed $value): array
    {
        return is_array($value) ? array_map(self::text(...), array_values($value)) : [];
    }

    /** @return array<string, string> */
    public static function map(mixed $value): array
    {
        $out = [];
        foreach (is_array($value) ? $value : [] as $key => $text) {
            $out[(string) $key] = self::text($text);
        }

        return $out;
    }

    /** @return array<array-key, mixed> of a JSON text; empty where it is none */
    public static function json(mixed $value): array
    {
        $decoded = is_string($value) ? json_decode($value, true, 64) : $value;

        return is_array($decoded) ? $decoded : [];
    }
}
