<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Workings;

use Lustrum\Core\Quantity\Units;
use Lustrum\Core\Wording\WorkingWords;
use Lustrum\Core\Working\Output;

/** One answer that a sum gives. */
final readonly class OutputRow
{
    /** @param string $fits what it measures: limits of this can be put to it */
    public function __construct(
        public string $name,
        public string $words,
        public string $symbol,
        public string $unit,
        public string $formula,
        public bool $isMain,
        public string $fits,
    ) {
    }

    public static function of(Output $o): self
    {
        return new self($o->name, $o->words, $o->symbol, WorkingWords::unit($o->shown), $o->formula, $o->isMain, Units::measures($o->shown));
    }
}
