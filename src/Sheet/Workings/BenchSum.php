<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Workings;

use Lustrum\Core\Working\Work;
use Lustrum\Domain\Working\OwnFormula;

/** A sum of the bench, as its form is drawn from it. */
final readonly class BenchSum
{
    /**
     * @param list<string>    $asked   words that it is looked for by
     * @param list<FieldRow>  $inputs
     * @param list<OutputRow> $outputs
     * @param OwnFormula|null $own     of one that was typed in this workshop
     */
    public function __construct(
        public string $name,
        public string $title,
        public string $what,
        public array $asked,
        public array $inputs,
        public array $outputs,
        public string $source,
        public string $leavesOut,
        public string $caution,
        public ?OwnFormula $own,
    ) {
    }

    public static function of(string $name, Work $work, ?OwnFormula $own = null): self
    {
        $a = $work->about;

        return new self(
            $name, $a->title, $a->what, $a->asked, array_map(FieldRow::of(...), $a->inputs),
            array_map(OutputRow::of(...), $a->outputs), $a->source,
            $a->leavesOut, $a->caution, $own,
        );
    }
}
