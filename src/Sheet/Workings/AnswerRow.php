<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Workings;

/** An answer, worked out. */
final readonly class AnswerRow
{
    /**
     * @param string $text  with its unit, and ± its standard uncertainty where an input has one
     * @param string $putIn the formula with what was put in; empty: there is none
     * @param string $parts what its uncertainty comes from; empty: it has none
     */
    public function __construct(
        public string $name,
        public string $words,
        public string $text,
        public string $formula,
        public string $putIn,
        public string $parts,
        public ?float $value,
        public ?float $u,
        public string $unit,
    ) {
    }
}
