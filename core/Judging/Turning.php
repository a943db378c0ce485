<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Alike\AlikeRuns;
use Lustrum\Core\Alike\CellDifference;
use Lustrum\Core\Alike\CompareWithin;
use Lustrum\Core\Alike\WithinVerdict;
use Lustrum\Core\CoreException;

/** Two sides that stand the other way round at some level. */
final readonly class Turning
{
    /** Of more sides pairs are not looked at one by one. */
    private const SIDES = 4;

    /**
     * @param list<string> $at    levels as they are said
     * @param bool         $hangs so much that nothing is said of all levels together
     */
    private function __construct(
        public string $a,
        public string $b,
        public array $at,
        public bool $hangs,
    ) {
    }

    /**
     * @param list<AlikeRuns>       $runs
     * @param array<string, string> $texts levels as they are said
     *
     * @return list<self>
     */
    public static function among(array $runs, Terms $terms, array $texts): array
    {
        $of = [];
        foreach ($runs as $run) {
            $of[$run->side][] = $run;
        }
        $names = array_map(strval(...), array_keys($of));
        $out = [];
        foreach (count($names) > self::SIDES ? [] : $names as $i => $a) {
            foreach (array_slice($names, $i + 1) as $b) {
                $out[] = self::between($a, $b, [
                    ...array_map(static fn (AlikeRuns $r): AlikeRuns => $r->of('a'), $of[$a]),
                    ...array_map(static fn (AlikeRuns $r): AlikeRuns => $r->of('b'), $of[$b]),
                ], $terms, $texts);
            }
        }

        return array_values(array_filter($out));
    }

    /** @param list<self> $some */
    public static function hang(array $some): bool
    {
        return array_filter($some, static fn (self $t): bool => $t->hangs) !== [];
    }

    /**
     * @param list<AlikeRuns>       $both
     * @param array<string, string> $texts
     */
    private static function between(string $a, string $b, array $both, Terms $terms, array $texts): ?self
    {
        try {
            $found = CompareWithin::of($both, $terms->confidence(), $terms->scaleOf($both));
        } catch (CoreException) {
            return null;
        }
        $hangs = $found->verdict === WithinVerdict::ByCell;
        // Where they cancel out none is against the rest.
        $at = $found->opposed !== [] || !$hangs ? $found->opposed : self::otherWay($found->cells);

        return $at === [] ? null : new self($a, $b, array_map(static fn (string $cell): string => $texts[$cell] ?? '', $at), $hangs);
    }

    /**
     * @param list<CellDifference> $cells
     *
     * @return list<string> of those that differ otherwise than the first
     */
    private static function otherWay(array $cells): array
    {
        $first = ($cells[0]->difference ?? 0.0) <=> 0.0;

        return array_values(array_map(static fn (CellDifference $c): string => $c->cell, array_filter(
            $cells, static fn (CellDifference $c): bool => ($c->difference <=> 0.0) === -$first,
        )));
    }
}
