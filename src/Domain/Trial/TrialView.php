<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

final readonly class TrialView
{
    /**
     * @param int    $plannedRuns  nought where nobody said how many
     * @param list<SignOff> $signOffs
     * @param list<string> $waitsFor
     * @param list<Found>  $favourites by person
     * @param string $untilChannel key of the channel whose mean is to be known to untilWidth; empty: none
     */
    public function __construct(
        public string $id,
        public int $version,
        public string $revision,
        public string $method,
        public string $name,
        public string $question,
        public int $plannedRuns,
        public RepeatPurpose $repeats,
        public TrialState $state,
        public array $signOffs,
        public ?SignOff $override,
        public string $untilChannel,
        public string $untilWidth,
        public string $createdAt,
        public ?LayoutView $layout,
        public array $waitsFor,
        public array $favourites,
    ) {
    }
}
