<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Workings;

use Lustrum\Domain\Working\WorkingView;

/** A sum that was kept, and where it stands now. */
final readonly class KeptRow
{
    /**
     * @param string      $sum     title of the sum
     * @param string      $letter  of the build
     * @param string      $answer  as it was kept
     * @param string      $now     with what its values are now; empty: as it was kept
     * @param list<ChangedRow> $changed inputs whose values are others now
     * @param string      $problem why it cannot be worked out now
     * @param string      $run     that it forecasts, in words; empty: none
     * @param string      $came    how that came out; empty: it was not read yet
     * @param BenchSum|null $own of one that was typed in this workshop
     * @param list<TargetRow> $targets where the answer can be put
     * @param bool|null $isInside its interval; null: it was not read yet, or has none
     */
    public function __construct(
        public WorkingView $working,
        public string $sum,
        public string $letter,
        public string $answer,
        public string $now,
        public array $changed,
        public string $problem,
        public string $run,
        public string $came,
        public ?bool $isInside,
        public array $targets,
        public ?BenchSum $own,
    ) {
    }
}
