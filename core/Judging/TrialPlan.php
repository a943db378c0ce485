<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

/** What was planned of a trial, and how far it came. */
final readonly class TrialPlan
{
    /**
     * @param list<string> $metrics   that its method reads, works out or asks for
     * @param int          $planned   runs; nought where nobody said how many
     * @param bool         $isReached as many as planned have ended, or somebody closed it
     * @param int          $looks     how often its answer was opened with new runs since; nought before
     */
    public function __construct(
        public array $metrics,
        public int $ended,
        public int $planned,
        public bool $isReached,
        public int $looks,
    ) {
    }
}
