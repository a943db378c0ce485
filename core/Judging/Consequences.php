<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

/** What the chosen candidates come to, in numbers. */
final readonly class Consequences
{
    /**
     * @param string               $cost      decimal text, exact
     * @param string|null          $overCost  by how much the limit of cost is passed; null where it is kept or there is none
     * @param list<MetricForecast> $forecasts
     */
    public function __construct(
        public int $chosen,
        public string $cost,
        public float $hours,
        public ?string $overCost,
        public bool $overHours,
        public bool $overChanges,
        public array $forecasts,
    ) {
    }

    /** How many limits are passed. */
    public function over(): int
    {
        return ($this->overCost !== null ? 1 : 0) + ($this->overHours ? 1 : 0) + ($this->overChanges ? 1 : 0);
    }

    /** @return list<MetricForecast> whose effects one build cannot tell apart */
    public function entangled(): array
    {
        return array_values(array_filter($this->forecasts, static fn (MetricForecast $f): bool => $f->entangled));
    }
}
