<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

/** What was planned of a trial, and how far it came. */
final readonly class TrialPlan
{
    /**
     * @param string       $trial     identifier
     * @param list<string> $metrics   that its method reads, works out or asks for
     * @param int          $planned   runs; nought where nobody said how many
     * @param bool         $isReached as many as planned have ended, or somebody closed it
     * @param int          $looks     how often its answer was opened with new runs since; nought before
     */
    public function __construct(
        public string $trial,
        public array $metrics,
        public int $ended,
        public int $planned,
        public bool $isReached,
        public int $looks,
    ) {
    }

    /**
     * May anything be told? As many as planned have ended, somebody closed it, or it was repeated until it held and did.
     *
     * @param int $ended   runs, without those that were void and have to be made again
     * @param int $held    of these
     * @param int $planned nought where nobody said how many
     */
    public static function isAtEnd(int $ended, int $held, int $planned, bool $isClosed, bool $isUntilItHolds): bool
    {
        return $isClosed || ($planned > 0 && $ended >= $planned) || ($isUntilItHolds && $held > 0);
    }
}
