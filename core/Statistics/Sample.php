<?php

declare(strict_types=1);

namespace Lustrum\Core\Statistics;

use Lustrum\Core\InvalidInput;
use Lustrum\Core\Statistics\Distribution\StudentT;

/**
 * A sample of measured values and what describes it (`stats.describe`).
 *
 * Mean and sum of squares by Welford (1962), so that values of 1e12 with a spread of 1 keep it.
 */
final readonly class Sample
{
    /** @param non-empty-list<float> $values */
    private function __construct(
        public array $values,
        public int $n,
        public float $mean,
        public ?float $sd,
    ) {
    }

    /**
     * @param list<float> $values finite; at least one
     *
     * @throws NoValues|InvalidInput
     */
    public static function of(array $values, string $path = 'values'): self
    {
        if ($values === []) {
            throw NoValues::given($path);
        }
        $mean = $squares = 0.0;
        foreach ($values as $i => $value) {
            if (!is_finite($value)) {
                throw InvalidInput::notANumber($path.'/'.$i);
            }
            $step = $value - $mean;
            $mean += $step / ($i + 1);
            $squares += $step * ($value - $mean);
        }
        $n = count($values);

        return new self($values, $n, $mean, $n < 2 ? null : sqrt($squares / ($n - 1)));
    }

    /** Sum of the squares of what each differs from the mean by. */
    public function squares(): float
    {
        return ($this->n - 1) * ($this->sd ?? 0.0) ** 2;
    }

    /** Standard error of the mean; null for one value. */
    public function se(): ?float
    {
        return $this->sd === null ? null : $this->sd / sqrt($this->n);
    }

    /** What it spreads by, with what is known of its repeats. */
    public function spread(Repeats $repeats): Spread
    {
        return Spread::of($this->squares(), $this->n - 1, $repeats);
    }

    /** The mean with its t interval. */
    public function interval(float $confidence, Repeats $repeats = new Repeats()): Interval
    {
        $spread = $this->spread($repeats);
        if ($spread->sd === null) {
            return new Interval($this->mean, null, null);
        }
        $half = StudentT::quantile(0.5 + $confidence / 2, $spread->df) * $spread->sd / sqrt($this->n);

        return new Interval($this->mean, $this->mean - $half, $this->mean + $half);
    }

    /** @param list<float> $values at least one */
    public static function median(array $values): float
    {
        sort($values);
        $n = count($values);

        return $n % 2 === 1 ? $values[intdiv($n, 2)] : 0.5 * ($values[$n / 2 - 1] + $values[$n / 2]);
    }
}
