<?php

declare(strict_types=1);

namespace Lustrum\Core\Quantity;

use Lustrum\Core\CoreException;

/** The texts that somebody may type and mean the same, for a device that compares them and computes nothing. */
final class SameTexts
{
    /**
     * @param string $unit that stands beside its field; empty: it is words
     *
     * @return non-empty-list<string> in small letters
     */
    public static function of(string $text, string $unit): array
    {
        $plain = trim($text);
        $same = [$plain];
        if ($unit !== '') {
            try {
                $value = Digits::short(Quantity::typedBeside($plain, $unit)->to($unit)->value);
                $same = [...$same, $value, $value.' '.$unit, $value.$unit];
            } catch (CoreException) {
                // It is words where a number is asked: only these words are the same.
            }
            if (QuantityText::bare($plain) !== null) {
                $same = [...$same, $plain.' '.$unit, $plain.$unit];
            }
        }
        $same = array_map(mb_strtolower(...), $same);
        // Some type a comma.
        $commas = $unit === '' ? [] : array_map(static fn (string $s): string => strtr($s, '.', ','), $same);

        return array_values(array_unique([...$same, ...$commas]));
    }
}
