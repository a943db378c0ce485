<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Change\Expectation;
use Lustrum\Core\Evidence\Direction;

/** A candidate as the sums need it. */
final readonly class Proposal
{
    /**
     * @param string            $cost    decimal text
     * @param list<Expectation> $effects
     * @param list<string>      $requirements identifiers of those that it answers, as somebody said
     */
    public function __construct(
        public string $what,
        public string $cost,
        public float $hours,
        public array $effects,
        public array $requirements = [],
    ) {
    }

    /** Does it answer a requirement: because somebody said so, or because it is expected to move its metric to the right side? */
    public function answers(Wanted $wanted): bool
    {
        if (in_array($wanted->id, $this->requirements, true)) {
            return true;
        }
        foreach ($this->effects as $effect) {
            if ($effect->metric === $wanted->metric && $effect->goesUp() === ($wanted->rule->direction === Direction::AtLeast)) {
                return true;
            }
        }

        return false;
    }
}
