<?php

declare(strict_types=1);

namespace Lustrum\Core\Run;

/** A run as the sums need it, with the configuration that it was made with. */
final readonly class RunFact
{
    /**
     * @param RunOutcome|null       $outcome    null while it is not finished
     * @param array<string, string> $conditions name => as recorded
     * @param array<string, string> $settings   name => as found
     * @param list<ReadingFact>     $readings
     */
    public function __construct(
        public string $id,
        public string $trial,
        public string $trialName,
        public string $method,
        public string $revision,
        public int $number,
        public ?RunOutcome $outcome,
        public string $reason,
        public string $startedAt,
        public string $operator,
        public string $position,
        public array $conditions,
        public array $settings,
        public Configuration $configuration,
        public int $earlierRuns,
        public int $earlierFailures,
        public array $readings,
        public bool $untilItHeld,
    ) {
    }

    /** Sorts as the runs were made: times are written alike, so their text tells. */
    public function order(): string
    {
        return $this->startedAt.sprintf(' %010d ', $this->number).$this->id;
    }

    public function serial(): string
    {
        return $this->configuration->serial;
    }

    public function held(): bool
    {
        return $this->outcome === RunOutcome::Held;
    }

    public function failed(): bool
    {
        return $this->outcome === RunOutcome::Failed;
    }

    public function lost(): bool
    {
        return $this->outcome === RunOutcome::Lost;
    }

    /** Does it say something of the design? Not while it is unfinished, void, or lost in handling. */
    public function says(): bool
    {
        return $this->outcome !== null && $this->outcome->says();
    }

    /** Does its outcome answer what this metric asks? */
    public function answers(string $metric): bool
    {
        return $metric !== '' && $this->configuration->outcomeMetric === $metric;
    }

    /**
     * What is asked of one metric need not go through the runs of all others.
     *
     * @param list<self> $runs
     *
     * @return array<string, list<self>> runs by each metric that they read or answer, in their order
     */
    public static function byMetric(array $runs): array
    {
        $out = [];
        foreach ($runs as $run) {
            $metrics = [$run->configuration->outcomeMetric => true];
            foreach ($run->readings as $reading) {
                $metrics[$reading->metric] = true;
            }
            unset($metrics['']);
            foreach ($metrics as $metric => $_) {
                $out[$metric][] = $run;
            }
        }

        return $out;
    }

    /** @param string $metric identifier */
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
