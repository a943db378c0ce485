<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Field;

use Lustrum\Core\CoreException;
use Lustrum\Core\Quantity\Digits;
use Lustrum\Core\Quantity\Quantity;
use Lustrum\Core\Quantity\QuantityText;

/** Something as it was found on the last good run, with the texts that mean the same. */
final readonly class GoodFound
{
    /** @param list<string> $same in small letters */
    private function __construct(
        public string $name,
        public string $text,
        public array $same,
    ) {
    }

    /** @param string $unit that stands beside its field; empty: it is words */
    public static function of(string $name, string $text, string $unit): self
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
        }
        $bare = QuantityText::bare($plain);
        if ($bare !== null && $unit !== '') {
            $same = [...$same, $plain.' '.$unit, $plain.$unit];
        }
        $same = array_map(mb_strtolower(...), $same);

        // Some type a comma.
        $commas = $unit === '' ? [] : array_map(static fn (string $s): string => strtr($s, '.', ','), $same);

        return new self($name, $text, array_values(array_unique([...$same, ...$commas])));
    }
}
