<?php

declare(strict_types=1);

namespace Lustrum\Decision;

/** Where the chosen candidates would take a metric, as a range. */
final readonly class MetricForecast
{
    /**
     * @param string       $meets     'would', 'could', 'wouldNot' or 'unknown'
     * @param list<string> $candidates that touch it
     */
    public function __construct(
        public string $metric,
        public string $unit,
        public ?float $now,
        public ?float $low,
        public ?float $likely,
        public ?float $high,
        public float $addLow,
        public float $addHigh,
        public int $decimals,
        public ?float $limit,
        public string $meets,
        public array $candidates,
        public bool $entangled,
        public string $sentence,
    ) {
    }
}
