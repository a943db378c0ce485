<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Workings;

use Lustrum\Core\Quantity\Digits;
use Lustrum\Core\Quantity\Units;
use Lustrum\Core\Wording\WorkingWords;
use Lustrum\Core\Working\Field;
use Lustrum\Core\Working\FieldKind;

/** One field of a sum. */
final readonly class FieldRow
{
    /**
     * @param string       $unit    that stands beside it; empty: a plain number
     * @param string       $default what is taken where nothing stands in it; empty: nothing
     * @param list<string> $choices
     * @param string       $example of lines; empty: it is no lines
     * @param string       $fits    what can be put in measures this; empty: nothing of a build is put in
     */
    public function __construct(
        public string $name,
        public string $words,
        public string $symbol,
        public string $unit,
        public FieldKind $kind,
        public bool $needed,
        public string $default,
        public array $choices,
        public string $example,
        public bool $canBeSolved,
        public string $fits,
    ) {
    }

    public static function of(Field $f): self
    {
        return new self(
            $f->name, $f->words, $f->symbol, WorkingWords::unit($f->unit), $f->kind, $f->needed,
            is_string($f->default) ? $f->default : ($f->default === null ? '' : Digits::short($f->default)), $f->choices, $f->example,
            $f->kind === FieldKind::One && !$f->isWhole, $f->kind === FieldKind::One ? Units::measures($f->unit) : '',
        );
    }
}
