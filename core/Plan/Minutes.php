<?php

declare(strict_types=1);

namespace Lustrum\Core\Plan;

/** What the steps of a trial take. */
final readonly class Minutes
{
    public function __construct(
        public float $setUp = 0.0,
        public float $run = 0.0,
        public float $reset = 0.0,
        public float $change = 0.0,
    ) {
    }

    /** @param float $minutes that a run lasts; nought: as long as it does */
    public function lasting(float $minutes): self
    {
        return $minutes > 0.0 ? new self($this->setUp, $minutes, $this->reset, $this->change) : $this;
    }

    /**
     * @param list<string> $settings what each run is set to, in order; a change of it costs extra
     */
    public function of(array $settings): float
    {
        $n = count($settings);
        $changes = 0;
        for ($i = 1; $i < $n; ++$i) {
            $changes += $settings[$i] === $settings[$i - 1] ? 0 : 1;
        }

        return $n === 0 ? 0.0 : $this->setUp + $n * $this->run + ($n - 1) * $this->reset + $changes * $this->change;
    }
}
