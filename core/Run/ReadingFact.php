<?php

declare(strict_types=1);

namespace Lustrum\Core\Run;

use Lustrum\Core\Outcome\ResultKind;

/** A reading as the sums need it. */
final readonly class ReadingFact
{
    /**
     * @param string $metric identifier
     * @param float  $step   step of its last digit, in the SI
     */
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
