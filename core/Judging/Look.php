<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Alike\Looks;

/**
 * How far the trials that an answer rests on have come, and how often it was opened with new runs.
 *
 * The planned number of runs is the first look: before it is reached everything is said so far, and nothing is told. Every
 * later look costs confidence (Looks).
 */
final readonly class Look
{
    /**
     * @param int  $ended   runs of the trials that are not at their end
     * @param int  $planned of the same; nought where one of them has no planned number
     * @param int  $looks   1 for the first
     * @param bool $isSoFar is one of the trials before its planned number?
     */
    public function __construct(
        public int $ended = 0,
        public int $planned = 0,
        public int $looks = 1,
        public bool $isSoFar = false,
    ) {
    }

    /** @param list<TrialPlan> $trials that measure what is asked for, on all sides; of several the most looked at counts */
    public static function of(array $trials): self
    {
        $used = array_filter($trials, static fn (TrialPlan $t): bool => $t->ended > 0);
        $open = array_filter($used, static fn (TrialPlan $t): bool => !$t->isReached);
        $planned = array_column($open, 'planned');

        return new self(
            array_sum(array_column($open, 'ended')), in_array(0, $planned, true) ? 0 : array_sum($planned),
            min(Looks::MOST, max([1, ...array_column($used, 'looks')])), $open !== [],
        );
    }
}
