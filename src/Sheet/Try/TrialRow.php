<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Try;

use Lustrum\Domain\Trial\TrialView;

/** A trial as a strip along time. */
final readonly class TrialRow
{
    /**
     * @param list<RunDot>  $runs    the last ones; all where they are few
     * @param int           $total   how many there are
     * @param list<string>  $results what it measured so far, in words
     * @param string        $before what was never tried before it goes into use; empty: nothing, or it is no trial in use
     * @param PlanRow|null  $plan   null where nothing is laid out
     * @param string|null   $agreesNext who has to agree before the next run; null: everybody has; empty: anybody
     * @param string        $mind    hazards and when to stop; empty where there are none
     * @param list<string>  $drift   what the rig read by itself and on its reference, first and last
     * @param bool          $isEmptied is an empty run taken off by its formulas?
     * @param string        $reference serial of the article that is tried first and last; empty: none
     * @param string        $favoured who favoured what before the first result; empty: nobody said
     * @param string        $waits  what it waits for; empty: nothing
     * @param list<PanelLine> $panels blind panels, oldest first
     */
    public function __construct(
        public TrialView $trial,
        public string $methodName,
        public array $runs,
        public int $total,
        public ?string $from,
        public ?string $to,
        public string $count,
        public array $results,
        public string $mind,
        public string $before,
        public ?string $agreesNext,
        public ?PlanRow $plan,
        public array $panels,
        public string $waits,
        public string $favoured,
        public array $drift,
        public bool $isEmptied,
        public string $reference,
    ) {
    }
}
