<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

/** Where the chosen candidates would take a metric, as a range, in numbers. */
final readonly class MetricForecast
{
    /**
     * @param string        $metric     identifier
     * @param Baseline|null $now        null where it was not measured on this build
     * @param Meets         $meets      the limit of its requirement
     * @param list<string>  $candidates that touch it
     */
    public function __construct(
        public string $metric,
        public string $unit,
        public ?Baseline $now,
        public float $addLow,
        public float $addLikely,
        public float $addHigh,
        public ?Wanted $wanted,
        public Meets $meets,
        public array $candidates,
        public bool $entangled,
    ) {
    }
}
