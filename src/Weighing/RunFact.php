<?php

declare(strict_types=1);

namespace Lustrum\Weighing;

use Lustrum\Trial\Configuration;
use Lustrum\Trial\RunOutcome;

/** A finished run as the sums need it, with the configuration that it was made with. */
final readonly class RunFact
{
    /**
     * @param array<string, string> $conditions name => as recorded
     * @param array<string, string> $settings
     * @param list<ReadingFact>     $readings
     */
    public function __construct(
        public string $id,
        public string $trial,
        public string $trialName,
        public string $method,
        public string $outcomeMetric,
        public string $revision,
        public string $serial,
        public int $number,
        public RunOutcome $outcome,
        public string $reason,
        public string $startedAt,
        public string $operator,
        public string $position,
        public array $conditions,
        public array $settings,
        public Configuration $configuration,
        public array $readings,
        public bool $untilItHeld,
    ) {
    }

    public function reading(string $metric): ?ReadingFact
    {
        foreach ($this->readings as $reading) {
            if ($reading->metric === $metric) {
                return $reading;
            }
        }

        return null;
    }
}
