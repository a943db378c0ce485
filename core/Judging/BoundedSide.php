<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Alike\AlikeRuns;
use Lustrum\Core\Alike\CompareWithin;
use Lustrum\Core\Alike\WithinVerdict;
use Lustrum\Core\CoreException;
use Lustrum\Core\Outcome\ResultKind;
use Lustrum\Core\Statistics\Repeats;

/** One of several sides with a bound among its runs: it is in no fit, and is opposed to each of the others by itself. */
final readonly class BoundedSide
{
    /**
     * @param int          $n      its values and bounds
     * @param list<string> $higher sides that it is shown to be above
     * @param list<string> $lower  sides that it is shown to be below
     * @param list<string> $open   sides that it cannot be told from, or was never run alike with
     */
    private function __construct(
        public string $side,
        public int $n,
        public int $bounds,
        public array $higher,
        public array $lower,
        public array $open,
    ) {
    }

    /**
     * @param list<AlikeRuns> $runs of all sides
     * @param int             $pairs that there are, which share the risk of telling one that is none
     * @param float           $step  the coarsest among the values, in their unit
     */
    public static function of(string $side, array $runs, Terms $terms, int $pairs, float $step): self
    {
        $mine = array_values(array_filter($runs, static fn (AlikeRuns $r): bool => $r->side === $side));
        $found = ['higher' => [], 'lower' => [], 'open' => []];
        foreach (array_unique(array_map(static fn (AlikeRuns $r): string => $r->side, $runs)) as $other) {
            if ($other !== $side) {
                $theirs = array_filter($runs, static fn (AlikeRuns $r): bool => $r->side === $other);
                $found[self::beside($mine, array_values($theirs), $terms, $pairs, $step)][] = $other;
            }
        }

        return new self(
            $side, AlikeRuns::count($mine),
            AlikeRuns::count(array_values(array_filter($mine, static fn (AlikeRuns $r): bool => $r->kind !== ResultKind::Equal))),
            $found['higher'], $found['lower'], $found['open'],
        );
    }

    /**
     * @param list<AlikeRuns> $mine
     * @param list<AlikeRuns> $theirs
     *
     * @return 'higher'|'lower'|'open'
     */
    private static function beside(array $mine, array $theirs, Terms $terms, int $pairs, float $step): string
    {
        $both = [
            ...array_map(static fn (AlikeRuns $r): AlikeRuns => $r->of('a'), $theirs),
            ...array_map(static fn (AlikeRuns $r): AlikeRuns => $r->of('b'), $mine),
        ];
        try {
            $verdict = CompareWithin::of(
                $both, 1 - (1 - $terms->confidence()) / $pairs, $terms->scaleOf($both), 1, new Repeats([], $step),
            )->verdict;
        } catch (CoreException) {
            return 'open';
        }

        return match (true) {
            !$terms->tells() => 'open',
            $verdict === WithinVerdict::Higher => 'higher',
            $verdict === WithinVerdict::Lower => 'lower',
            default => 'open',
        };
    }
}
