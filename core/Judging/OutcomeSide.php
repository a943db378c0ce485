<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

/** How often it held on one build, rung by rung where the runs name their rung. */
final readonly class OutcomeSide
{
    /**
     * @param list<Rung> $rungs
     * @param string     $unit  of the rungs
     */
    public function __construct(
        public string $build,
        public string $letter,
        public int $held,
        public int $tried,
        public array $rungs,
        public string $unit,
        public ?float $highestHeld,
        public ?float $lowestFailed,
        public bool $censored,
    ) {
    }
}
