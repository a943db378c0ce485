<?php

declare(strict_types=1);

namespace Lustrum\Core\Evidence;

/** What the results say of a requirement. */
final readonly class Assessment
{
    /**
     * @param float|null   $estimate          mean, or share held
     * @param float|null   $bound             one-sided bound at the requirement's confidence
     * @param float|null   $probabilityMet    null for a single run
     * @param int|null     $runsNeeded        more runs of the same kind that would make the bound pass; null where none would
     * @param list<string> $missingConditions
     * @param int          $n                 results that the assessment stands on
     * @param int          $bounds            results that are bounds; never averaged
     * @param int          $lost              articles lost in handling
     * @param bool         $confirmed         the bound on the wrong side passes too: shown NOT to meet
     */
    public function __construct(
        public State $state,
        public ?float $estimate,
        public ?float $bound,
        public ?float $probabilityMet,
        public ?int $runsNeeded,
        public array $missingConditions,
        public int $n,
        public int $bounds,
        public int $lost,
        public bool $confirmed,
        public Basis $basis,
    ) {
    }
}
