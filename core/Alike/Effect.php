<?php

declare(strict_types=1);

namespace Lustrum\Core\Alike;

use Lustrum\Core\Statistics\Distribution\StudentT;
use Lustrum\Core\Statistics\Interval;

/** One estimate of a difference over all strata, on one scale. */
final readonly class Effect
{
    /**
     * @param float      $se      nought where no spread is left
     * @param float|null $df      null: Welch's, where there is no spread
     * @param bool       $isKnown did what is known of the method's repeats go into it?
     */
    public function __construct(
        public float $estimate,
        public float $se,
        public ?float $df,
        public bool $isKnown = false,
    ) {
    }

    /** Can an interval be given? */
    public function hasSpread(): bool
    {
        return $this->se > 0.0 && $this->df !== null && $this->df > 0.0;
    }

    public function interval(float $confidence): Interval
    {
        if (!$this->hasSpread()) {
            return new Interval($this->estimate, null, null);
        }
        $half = StudentT::quantile(0.5 + $confidence / 2, (float) $this->df) * $this->se;

        return new Interval($this->estimate, $this->estimate - $half, $this->estimate + $half);
    }

    public function p(): ?float
    {
        return $this->hasSpread() ? StudentT::twoSided($this->estimate / $this->se, (float) $this->df) : null;
    }
}
