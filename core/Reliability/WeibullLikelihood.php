<?php

declare(strict_types=1);

namespace Lustrum\Core\Reliability;

use Lustrum\Core\Statistics\Distribution\Solve;

/** How likely lives are, by shape and scale; and at its best where one thing of them is held. */
final readonly class WeibullLikelihood
{
    /**
     * @param list<float> $logs   of all times
     * @param list<float> $events of those that ended
     */
    private function __construct(
        private array $logs,
        private array $events,
    ) {
    }

    /**
     * @param list<float> $logs
     * @param list<bool>  $ended
     */
    public static function of(array $logs, array $ended): self
    {
        return new self($logs, array_values(array_filter($logs, static fn (int $i): bool => $ended[$i], \ARRAY_FILTER_USE_KEY)));
    }

    /** @param float $y logarithm of the life by which −ln(1 − share failed) is e^q; of the scale q is nought */
    public function at(float $shape, float $y, float $q): float
    {
        $out = count($this->events) * log($shape);
        foreach ($this->events as $l) {
            $out += $shape * ($l - $y) + $q - $l;
        }
        foreach ($this->logs as $l) {
            $out -= exp($shape * ($l - $y) + $q);
        }

        return $out;
    }

    /** At the best scale. */
    public function ofShape(float $shape): float
    {
        $sum = array_sum(array_map(static fn (float $l): float => exp($shape * $l), $this->logs));

        return $this->at($shape, log($sum / count($this->events)) / $shape, 0.0);
    }

    /** At the best shape, where this life is held. */
    public function ofLife(float $y, float $q): float
    {
        $of = array_sum(array_map(static fn (float $l): float => $l - $y, $this->events));
        $slope = function (float $u) use ($y, $q, $of): float {
            $shape = exp($u);
            $out = count($this->events) / $shape + $of;
            foreach ($this->logs as $l) {
                $out -= ($l - $y) * exp(min(700.0, $shape * ($l - $y) + $q));
            }

            return $out;
        };
        for ($low = -1.0; $slope($low) < 0 && $low > -60; --$low) {
        }
        for ($high = 1.0; $slope($high) > 0 && $high < 60; ++$high) {
        }

        return $this->at(exp(Solve::root($slope, $low, $high)), $y, $q);
    }
}
