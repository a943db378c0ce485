<?php

declare(strict_types=1);

namespace Lustrum\Weighing;

use Lustrum\Core\Outcome\ResultKind;

/** A reading as the sums need it. */
final readonly class ReadingFact
{
    /** @param float $step step of its last digit, in the SI */
    public function __construct(
        public string $channel,
        public string $metric,
        public string $unit,
        public float $si,
        public float $step,
        public ResultKind $kind,
        public string $instrument,
    ) {
    }
}
