<?php

declare(strict_types=1);

namespace Lustrum\Core\Alike;

use Lustrum\Core\Outcome\ResultKind;
use Lustrum\Core\Statistics\Interval;

/** Bounds among the runs enter at their value, and pull only one way: towards where the truth may still lie. */
final readonly class Bounds
{
    private bool $upwards;
    private bool $downwards;

    /** @param list<AlikeRuns> $runs */
    public function __construct(array $runs)
    {
        $has = static fn (string $side, ResultKind $kind): bool => array_filter(
            $runs, static fn (AlikeRuns $r): bool => $r->side === $side && $r->kind === $kind,
        ) !== [];
        $this->upwards = $has('b', ResultKind::AtLeast) || $has('a', ResultKind::AtMost);
        $this->downwards = $has('a', ResultKind::AtLeast) || $has('b', ResultKind::AtMost);
    }

    public function any(): bool
    {
        return $this->upwards || $this->downwards;
    }

    /** The end of a difference towards which bounds may move it is open. */
    public function opened(Interval $difference): Interval
    {
        return new Interval(
            $difference->estimate, $this->downwards ? null : $difference->low, $this->upwards ? null : $difference->high,
        );
    }

    /** Higher is only said where no bound could make it less, and the reverse. */
    public function allow(WithinVerdict $verdict): WithinVerdict
    {
        $isOpen = ($verdict === WithinVerdict::Higher && $this->downwards) || ($verdict === WithinVerdict::Lower && $this->upwards);

        return $isOpen ? WithinVerdict::Indistinct : $verdict;
    }
}
