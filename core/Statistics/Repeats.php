<?php

declare(strict_types=1);

namespace Lustrum\Core\Statistics;

/** What is known of how repeats spread before any of these is looked at: nothing, mostly. */
final readonly class Repeats
{
    /**
     * @param list<KnownSpread> $given      on one scale or on both
     * @param float             $resolution the coarsest step among the values, in their unit; nought: it is not known
     */
    public function __construct(
        public array $given = [],
        public float $resolution = 0.0,
    ) {
    }

    /** What of it holds on this scale, and of what is counted. */
    public function on(bool $isOfLogarithms, bool $isOfArticles): self
    {
        return new self(array_values(array_filter(
            $this->given, static fn (KnownSpread $k): bool => $k->isOfLogarithms === $isOfLogarithms && $k->isOfArticles === $isOfArticles,
        )), $isOfLogarithms ? 0.0 : $this->resolution);
    }

    public function unknown(): self
    {
        return new self([], $this->resolution);
    }

    /** Was anything said? */
    public function isGiven(): bool
    {
        return $this->given !== [];
    }

    /** A standard deviation is half a step at least: rounded values that agree are not without spread. */
    public function floor(float $sd): float
    {
        return max($sd, $this->resolution / 2);
    }
}
