<?php

declare(strict_types=1);

namespace Lustrum\Core\Footing;

use Lustrum\Core\NotEstimable;

/** What a condition is known to do to a result: so much a unit of it, or on the time of a course between two values. */
final readonly class Effect
{
    /**
     * @param float|null $slope of the result with the condition; null: the results are times of a course
     * @param float      $from  where the course begins
     * @param float      $to    where it ends
     */
    private function __construct(
        private ?float $slope,
        private float $from = 0.0,
        private float $to = 0.0,
    ) {
    }

    public static function slope(float $slope): self
    {
        return new self($slope);
    }

    public static function exponential(float $from, float $to): self
    {
        return new self(null, $from, $to);
    }

    /**
     * The same results as they would have been at another value of the condition.
     *
     * @throws NotEstimable where surroundings lie on the wrong side of what is waited for
     */
    public function moved(float $mean, float $from, float $to): float
    {
        return $this->slope !== null ? $mean + $this->slope * ($to - $from) : $mean * $this->stretch($to) / $this->stretch($from);
    }

    private function stretch(float $condition): float
    {
        $ratio = $this->to === $condition ? 0.0 : ($this->from - $condition) / ($this->to - $condition);

        return $ratio > 1 ? log($ratio) : throw NotEstimable::because(
            'target.unreachable', 'A course does not arrive where its surroundings lie on the wrong side.', 'effect/exponential/to',
        );
    }
}
