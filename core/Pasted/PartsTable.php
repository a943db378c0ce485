<?php

declare(strict_types=1);

namespace Lustrum\Core\Pasted;

use Lustrum\Core\CoreException;
use Lustrum\Core\InvalidInput;
use Lustrum\Core\Quantity\Quantity;

/**
 * A parts list out of a spreadsheet, as text: columns apart by tabs (as spreadsheets put them on the clipboard), semicolons or
 * commas; with heads in any order, or without in the order name, material, quantity, cost, mass, note. What cannot be read is
 * left out with its reason, and nothing is guessed.
 */
final class PartsTable
{
    public const MOST_ROWS = 500;

    private const HEADS = [
        'name' => '/^(part|parts|name|item|component|description)\b/iu', 'material' => '/^(material|made of|stuff)\b/iu',
        'quantity' => '/^(qty|quantity|pcs|pieces|count|number|no\.?|of it|amount)\b/iu',
        'cost' => '/^(cost|price|each|one|unit (cost|price))\b/iu', 'mass' => '/^(mass|weight)\b/iu',
        'note' => '/^(note|notes|remark|remarks|comment|supplier|source)\b/iu',
    ];

    /** What stands beside a number: the sign or the code of a currency, 'pcs', and spaces or apostrophes between thousands. */
    private const BESIDE = ['/\p{Sc}/u', '/\b[A-Z]{3}\b|(?<=\d)\s*(pcs|pieces|x|×)\.?$/iu', '/[\s\x{00A0}\x{202F}\']/u'];

    private const SUM = '/^(sum|total|all parts|subtotal|grand total)\b/iu';

    /**
     * @param list<PartLine> $lines
     * @param list<string>   $problems rows that were left out, each with its reason
     */
    private function __construct(
        public array $lines,
        public array $problems,
    ) {
    }

    /** @throws InvalidInput when there is no table in it */
    public static function read(string $text): self
    {
        $rows = self::rows($text);
        if ($rows === []) {
            throw InvalidInput::because('There is no table in this: copy the cells of a spreadsheet, and paste them here.', 'text');
        }
        if (count($rows) > self::MOST_ROWS) {
            throw InvalidInput::because(
                sprintf('This table has %d rows; at most %d can be taken at once.', count($rows), self::MOST_ROWS), 'text',
            );
        }
        [$columns, $unit, $first] = self::columns($rows[array_key_first($rows)]);
        $lines = $problems = $seen = [];
        foreach ($first ? array_slice($rows, 1, null, true) : $rows as $row => $cells) {
            $line = self::line($row, array_map('trim', $cells), $columns, $unit);
            if (is_string($line)) {
                $problems[] = $line;
            } elseif (isset($seen[mb_strtolower($line->name)])) {
                $problems[] = sprintf('Row %d: “%s” stands above already. Left out.', $row, $line->name);
            } else {
                $seen[mb_strtolower($line->name)] = true;
                $lines[] = $line;
            }
        }

        return new self($lines, $problems);
    }

    /** @return array<int, list<string>> cells by row from 1; empty rows left out */
    private static function rows(string $text): array
    {
        $text = str_replace(["\r\n", "\r", "\u{FEFF}"], ["\n", "\n", ''], $text);
        $mark = match (true) {
            str_contains($text, "\t") => "\t",
            substr_count($text, ';') >= substr_count($text, "\n") && str_contains($text, ';') => ';',
            default => ',',
        };
        $out = [];
        $stream = fopen('php://memory', 'r+');
        if ($stream === false) {
            return [];
        }
        fwrite($stream, $text);
        rewind($stream);
        for ($row = 1; ($cells = fgetcsv($stream, null, $mark, '"', '')) !== false; ++$row) {
            $cells = array_map(strval(...), $cells);
            if (trim(implode('', $cells)) !== '') {
                $out[$row] = $cells;
            }
        }
        fclose($stream);

        return $out;
    }

    /**
     * @param list<string> $head
     *
     * @return array{array<string, int>, string, bool} column by what it holds, unit of the masses, and whether it is a head
     */
    private static function columns(array $head): array
    {
        $columns = [];
        $unit = 'g';
        foreach ($head as $i => $cell) {
            foreach (self::HEADS as $what => $pattern) {
                if (!isset($columns[$what]) && preg_match($pattern, trim($cell)) === 1) {
                    $columns[$what] = $i;
                    $unit = $what === 'mass' && preg_match('/\bkg\b/i', $cell) === 1 ? 'kg' : $unit;
                    break;
                }
            }
        }

        return isset($columns['name']) ? [$columns, $unit, true] : [array_flip(array_keys(self::HEADS)), $unit, false];
    }

    /**
     * @param list<string>       $cells
     * @param array<string, int> $columns
     *
     * @return PartLine|string the line, or why there is none
     */
    private static function line(int $row, array $cells, array $columns, string $unit): PartLine|string
    {
        $cell = static fn (string $what): string => isset($columns[$what]) ? $cells[$columns[$what]] ?? '' : '';
        $name = $cell('name');
        if ($name === '') {
            return sprintf('Row %d has no name: perhaps a merged cell, of which only the first is filled. Left out.', $row);
        }
        if (preg_match(self::SUM, $name) === 1) {
            return sprintf('Row %d, “%s”, is a sum. Left out; sums are worked out here.', $row, $name);
        }
        if (mb_strlen($name) > 120) {
            return sprintf('Row %d: its name is longer than 120 characters. Left out.', $row);
        }
        try {
            return new PartLine(
                $row, $name, isset($columns['material']) ? mb_substr($cell('material'), 0, 120) : null,
                self::number($cell('quantity'), 'quantity'), self::number($cell('cost'), 'cost'), self::mass($cell('mass'), $unit),
                isset($columns['note']) ? mb_substr($cell('note'), 0, 300) : null,
            );
        } catch (CoreException $wrong) {
            return sprintf('Row %d, “%s”: %s Left out.', $row, mb_substr($name, 0, 40), $wrong->getMessage());
        }
    }

    /** A number, with the sign of a currency or without, and with either way of writing thousands. */
    private static function number(string $cell, string $what): ?float
    {
        if ($cell === '' || $cell === '-' || $cell === '–') {
            return null;
        }
        $plain = self::withoutThousands(trim((string) preg_replace(self::BESIDE, '', $cell)));
        if (!is_numeric($plain) || (float) $plain < 0) {
            throw InvalidInput::because(sprintf('its %s “%s” is no number.', $what, mb_substr($cell, 0, 20)), $what);
        }

        return (float) $plain;
    }

    private static function withoutThousands(string $plain): string
    {
        $comma = strrpos($plain, ',');
        $point = strrpos($plain, '.');
        if ($comma !== false && $point !== false) {
            return $comma > $point ? str_replace(['.', ','], ['', '.'], $plain) : str_replace(',', '', $plain);
        }

        // One comma before other than three digits, or after a nought, is where the decimals begin.
        $isThousands = preg_match('/^[1-9]\d{0,2}(,\d{3})+$/', $plain) === 1;

        return str_replace(',', $isThousands ? '' : '.', $plain);
    }

    /** In grams. */
    private static function mass(string $cell, string $unit): ?float
    {
        if ($cell === '' || $cell === '-' || $cell === '–') {
            return null;
        }
        $hasUnit = preg_match('/[a-z]/i', $cell) === 1;
        $quantity = $hasUnit ? Quantity::typed(str_replace(',', '.', $cell)) : Quantity::of(self::number($cell, 'mass') ?? 0.0, $unit);
        $value = $quantity->to('g')->value;

        return $value < 0 ? throw InvalidInput::because('its mass is below nought.', 'mass') : round($value, 6);
    }
}
