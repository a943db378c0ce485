<?php

declare(strict_types=1);

namespace Lustrum\Core\Statistics;

/** What is known of how repeats spread before any of these is looked at: nothing, mostly. */
final readonly class Repeats
{
    /** @param float $resolution the coarsest step among the values, in their unit; nought: it is not known */
    public function __construct(
        public ?KnownSpread $known = null,
        public float $resolution = 0.0,
    ) {
    }

    /** The spread is known already, on this scale and of that which is counted here? */
    public function on(bool $isOfLogarithms, bool $isOfArticles): self
    {
        return new self(
            $this->known?->isOfLogarithms === $isOfLogarithms && $this->known->isOfArticles === $isOfArticles ? $this->known : null,
            $isOfLogarithms ? 0.0 : $this->resolution,
        );
    }

    public function unknown(): self
    {
        return new self(null, $this->resolution);
    }

    /** A standard deviation is half a step at least: rounded values that agree are not without spread. */
    public function floor(float $sd): float
    {
        return max($sd, $this->resolution / 2);
    }
}
