<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Run;

use Lustrum\Sheet\Try\PlanRow;

/** What a run is led by while it is made. */
final readonly class Console
{
    /**
     * @param list<WaitRow> $waits    before it begins
     * @param list<LookRow> $looks    while it goes on
     * @param string        $position in the plan: which level, which of how many; empty: nothing is laid out
     * @param PlanRow|null  $plan     with the next run in one touch
     * @param string        $enough   how far the planned number is; empty: nobody planned one
     */
    public function __construct(
        public array $waits,
        public array $looks,
        public string $position,
        public ?PlanRow $plan,
        public string $enough,
    ) {
    }
}
