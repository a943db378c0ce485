<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Workings;

use Lustrum\Domain\Working\WorkshopSumView;

/** The workings of a device: the sums that there are, and those that were kept. */
final readonly class WorkingsSheet
{
    /**
     * @param list<BenchSum>        $sums
     * @param list<KeptRow>         $kept       newest first
     * @param list<SourceRow>       $sources    values of the build that can be taken
     * @param list<OpenRun>         $runs       of the build that nobody has read yet: they can be forecast
     * @param list<CandidateRow>    $candidates of the build that are not decided
     * @param list<WorkshopSumView> $own        the workshop's own
     */
    public function __construct(
        public string $sentence,
        public array $sums,
        public array $kept,
        public array $sources,
        public array $runs,
        public array $candidates,
        public array $own,
        public string $workspace,
    ) {
    }
}
