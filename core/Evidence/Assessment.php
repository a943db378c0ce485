<?php

declare(strict_types=1);

namespace Lustrum\Core\Evidence;

/** What the results say of a requirement. */
final readonly class Assessment
{
    /**
     * @param float|null   $estimate          mean, share held, or standard deviation
     * @param float|null   $bound             one-sided bound at the requirement's confidence
     * @param float|null   $probabilityMet    null for a single run
     * @param int|null     $runsNeeded        more runs of the same kind that would make the bound pass; null where none would
     * @param int          $n                 results that the estimate stands on; of 'every' articles
     * @param int          $bounds            results that are bounds; never averaged as values
     * @param int          $lost              articles lost in handling
     * @param list<string> $missingConditions that no run covered
     * @param list<string> $cut               ends that were cut off at a natural limit
     * @param bool|null    $known             did what is known of the method's repeats go into it? null: nothing was given
     * @param SpeaksOf|null $speaksOf         of a mean
     */
    public function __construct(
        public State $state,
        public ?float $estimate,
        public ?float $bound,
        public ?float $probabilityMet,
        public ?int $runsNeeded,
        public int $n,
        public Basis $basis,
        public int $bounds = 0,
        public int $lost = 0,
        public array $missingConditions = [],
        public array $cut = [],
        public ?bool $known = null,
        public ?SpeaksOf $speaksOf = null,
    ) {
    }

    /** The same estimate with no bound that could be trusted: it leans at best. */
    public function unbounded(): self
    {
        return new self(
            $this->state->atBestLeaning(), $this->estimate, null, null, null, $this->n, $this->basis, speaksOf: $this->speaksOf,
        );
    }

    /** @param callable(float): float $of from the scale on which it was worked out to that of the values */
    public function mapped(callable $of): self
    {
        return new self(
            $this->state, $this->estimate === null ? null : $of($this->estimate), $this->bound === null ? null : $of($this->bound),
            $this->probabilityMet, $this->runsNeeded, $this->n, $this->basis, known: $this->known, speaksOf: $this->speaksOf,
        );
    }

    public function speakingOf(SpeaksOf $of): self
    {
        return new self(
            $this->state, $this->estimate, $this->bound, $this->probabilityMet, $this->runsNeeded, $this->n, $this->basis,
            known: $this->known, speaksOf: $of,
        );
    }

    public function in(State $state, ?int $runsNeeded): self
    {
        return new self(
            $state, $this->estimate, $this->bound, $this->probabilityMet, $runsNeeded, $this->n, $this->basis, known: $this->known,
            speaksOf: $this->speaksOf,
        );
    }

    /**
     * As one of several cells: with what is said of all of them together.
     *
     * @param list<string> $missing
     */
    public function among(State $state, int $lost, array $missing): self
    {
        return new self(
            $state, $this->estimate, $this->bound, $this->probabilityMet, $this->runsNeeded, $this->n, $this->basis, $this->bounds,
            $lost, $missing, $this->cut, $this->known, $this->speaksOf,
        );
    }

    /** @param list<string> $missing */
    public function standing(int $bounds, int $lost, array $missing, Measure $measure): self
    {
        $natural = $measure->natural;
        $cuts = $natural->cuts($this->bound);

        return new self(
            $missing === [] ? $this->state : $this->state->atBestLeaning(), $this->estimate,
            $this->bound === null ? null : $natural->clip($this->bound), $this->probabilityMet, $this->runsNeeded, $this->n,
            $this->basis, $bounds, $lost, $missing, $cuts ? ['bound'] : [],
            $measure->repeats->isGiven() ? $this->known === true : null, $this->speaksOf,
        );
    }
}
