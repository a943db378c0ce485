<?php

declare(strict_types=1);

namespace Lustrum\Decision;

/** What the chosen candidates come to. */
final readonly class Consequences
{
    /**
     * @param list<string>         $over      limits that are passed, in sentences
     * @param list<MetricForecast> $forecasts
     * @param list<string>         $entangled what can no longer be told apart, in sentences
     */
    public function __construct(
        public int $chosen,
        public string $cost,
        public float $hours,
        public array $over,
        public array $forecasts,
        public array $entangled,
    ) {
    }
}
