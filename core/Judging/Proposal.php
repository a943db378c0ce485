<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Change\Expectation;

/** A candidate as the sums need it. */
final readonly class Proposal
{
    /**
     * @param string            $cost    decimal text
     * @param list<Expectation> $effects
     */
    public function __construct(
        public string $what,
        public string $cost,
        public float $hours,
        public array $effects,
    ) {
    }
}
