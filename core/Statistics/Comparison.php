<?php

declare(strict_types=1);

namespace Lustrum\Core\Statistics;

/** What `stats.compare` says of two samples; differences are b − a, the change is in per cent of a. */
final readonly class Comparison
{
    /**
     * @param string $method 'fieller', or 'none' with $note saying why there is no interval of the change
     */
    public function __construct(
        public float $meanA,
        public float $meanB,
        public Interval $difference,
        public ?Interval $change,
        public string $method,
        public ?string $note,
        public ?float $t,
        public ?float $df,
        public ?float $p,
        public Verdict $verdict,
        public bool $isKnown = false,
    ) {
    }
}
