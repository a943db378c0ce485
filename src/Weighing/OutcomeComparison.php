<?php

declare(strict_types=1);

namespace Lustrum\Weighing;

/** A metric that is shown by whether runs hold: shares against each other, and the ladder of each build. */
final readonly class OutcomeComparison
{
    public function __construct(
        public string $metric,
        public OutcomeSide $here,
        public ?OutcomeSide $other,
        public ?Estimate $difference,
        public ?float $p,
        public string $sentence,
    ) {
    }
}
