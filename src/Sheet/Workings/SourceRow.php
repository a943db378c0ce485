<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Workings;

use Lustrum\Core\Quantity\Units;

/** A value of a build that a field can be taken from, and follow. */
final readonly class SourceRow
{
    /**
     * @param string $kind parameter, part, reading or requirement
     * @param string $text as it stands there
     * @param string $unit of it
     * @param string $fits into a field of this
     */
    public function __construct(
        public string $kind,
        public string $id,
        public string $words,
        public string $text,
        public string $unit,
        public string $fits,
    ) {
    }

    public static function of(string $kind, string $id, string $words, string $text, string $unit): self
    {
        return new self($kind, $id, $words, $text, $unit, Units::measures($unit === '' ? '1' : $unit));
    }
}
