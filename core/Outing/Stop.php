<?php

declare(strict_types=1);

namespace Lustrum\Core\Outing;

use Lustrum\Core\Run\UsedUp;

/** A trial as a day out looks at it: what is left of it, what it takes, and how it may end. */
final readonly class Stop
{
    /**
     * @param string       $trial    identifier
     * @param string       $rig      that it is made on: next to another on the same one nothing is set up anew
     * @param int          $runs     that are left
     * @param float        $setUp    minutes
     * @param float        $minutes  of its runs, without setting up
     * @param bool         $isAtRisk a person is at risk, or somebody has to agree
     * @param int          $hazards
     * @param bool         $breaks   each run costs an article
     * @param bool         $wears
     * @param bool         $isMust   a must requirement waits for it
     * @param float        $lost     share of such runs that were lost in handling so far
     * @param list<UsedUp> $usesUp   by one run
     */
    public function __construct(
        public string $trial,
        public string $name,
        public string $rig,
        public int $runs,
        public float $setUp,
        public float $minutes,
        public bool $isAtRisk = false,
        public int $hazards = 0,
        public bool $breaks = false,
        public bool $wears = false,
        public bool $isMust = false,
        public float $lost = 0.0,
        public array $usesUp = [],
    ) {
    }

    /** Articles beside the one that is tried: for what breaks, and for what is lost on the way. */
    public function spares(): int
    {
        $lost = (int) ceil($this->lost * $this->runs - 1e-9);

        return $this->breaks ? max(0, $this->runs - 1) + $lost : $lost;
    }
}
