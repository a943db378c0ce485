<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Field;

use Lustrum\Domain\Trial\TrialView;
use Lustrum\Sheet\Run\Asked;
use Lustrum\Sheet\Try\PlanRow;

/** A trial with all that a run of it is led by. */
final readonly class FieldTrial
{
    /**
     * @param string       $mind    hazards and when to stop
     * @param string       $blocked why no run of it may be begun; empty: one may
     * @param int          $runs    that were begun so far
     * @param LastGood|null $good   the last run of its method that held
     * @param list<SetOnPurpose> $set settings that are meant otherwise than the method says, on one article
     */
    public function __construct(
        public TrialView $trial,
        public Asked $asked,
        public string $mind,
        public string $blocked,
        public ?PlanRow $plan,
        public int $runs,
        public ?LastGood $good,
        public array $set,
    ) {
    }
}
