<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Field;

use Lustrum\Core\Quantity\SameTexts;

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
        return new self($name, $text, SameTexts::of($text, $unit));
    }
}
