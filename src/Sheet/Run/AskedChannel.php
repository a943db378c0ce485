<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Run;

use Lustrum\Core\Outcome\ResultKind;

/** A channel that is to be read on a run. */
final readonly class AskedChannel
{
    /** @param list<string> $words of an ordered scale, lowest first; none where it is read in numbers */
    public function __construct(
        public string $key,
        public string $metric,
        public string $unit,
        public string $instrument,
        public ?float $resolution,
        public ResultKind $whenStopped,
        public string $formula,
        public array $words,
    ) {
    }
}
