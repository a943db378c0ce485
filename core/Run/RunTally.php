<?php

declare(strict_types=1);

namespace Lustrum\Core\Run;

/** How many runs count for what, and how those ended. */
final readonly class RunTally
{
    /** @param array<string, array<string, int>> $n by what they count for and how they ended; '' for what has not */
    private function __construct(
        private array $n,
    ) {
    }

    /** @param iterable<array{?RunOutcome, Purpose, bool, int}> $groups outcome, purpose, set aside, how many of them */
    public static function of(iterable $groups): self
    {
        $n = [];
        foreach ($groups as [$outcome, $purpose, $isAside, $many]) {
            [$for, $how] = [CountsFor::of($outcome, $purpose, $isAside)->value, $outcome->value ?? ''];
            $n[$for] ??= [];
            $n[$for][$how] = ($n[$for][$how] ?? 0) + $many;
        }

        return new self($n);
    }

    public static function none(): self
    {
        return new self([]);
    }

    public function with(self $other): self
    {
        $n = $this->n;
        foreach ($other->n as $for => $byOutcome) {
            foreach ($byOutcome as $outcome => $many) {
                $n[$for][$outcome] = ($n[$for][$outcome] ?? 0) + $many;
            }
        }

        return new self($n);
    }

    public function number(CountsFor $for, ?RunOutcome $outcome = null): int
    {
        $of = $this->n[$for->value] ?? [];

        return $outcome === null ? array_sum($of) : $of[$outcome->value] ?? 0;
    }

    public function results(): int
    {
        return $this->number(CountsFor::Result);
    }

    public function held(): int
    {
        return $this->number(CountsFor::Result, RunOutcome::Held);
    }

    /** Runs of the build, whatever they count for. */
    public function all(): int
    {
        return array_sum(array_map(
            fn (CountsFor $f): int => $f === CountsFor::Rig ? 0 : $this->number($f), CountsFor::cases(),
        ));
    }
}
