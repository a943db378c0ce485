<?php

declare(strict_types=1);

namespace Lustrum\Shared;

/** Comma-separated values (RFC 4180, UTF-8). */
final class Csv
{
    /** @param list<string> $cells */
    public static function line(array $cells): string
    {
        return implode(',', array_map(static function (string $cell): string {
            // A spreadsheet would run a text that begins like a formula; a number may begin with a minus.
            $safe = !is_numeric($cell) && preg_match('/^[=+\-@\t\r]/', $cell) === 1 ? "'".$cell : $cell;

            return preg_match('/[",\r\n]/', $safe) === 1 ? '"'.str_replace('"', '""', $safe).'"' : $safe;
        }, $cells))."\r\n";
    }
}
