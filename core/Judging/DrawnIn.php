<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Alike\AlikeRuns;
use Lustrum\Core\Alike\CompareSides;
use Lustrum\Core\Alike\SideEffect;
use Lustrum\Core\CoreException;
use Lustrum\Core\Outcome\ResultKind;
use Lustrum\Core\Quantity\Units;
use Lustrum\Core\Statistics\Sample;

/**
 * The runs by which a variant was chosen among many are not its baseline: its mean is drawn in towards that of all of them,
 * m + B·(its mean − m), B = max(0, 1 − s²/(r·variance of the means)) (James and Stein 1961).
 */
final class DrawnIn
{
    /** Of fewer variants nothing says how far apart they lie. */
    public const VARIANTS = 3;

    /** For a fit of which no interval is read. */
    private const SURE = 0.95;

    /**
     * By how much its mean is moved. What pairs the runs, such as raters, is taken out first: how far people lie apart says
     * nothing of how far one run of a variant lies from the next.
     *
     * @param array<array-key, list<Bunch>> $variants at one level, by their names, its own among them
     * @param string                        $unit     of the answer
     *
     * @return float|null null where there are too few to say
     */
    public static function shift(string $own, array $variants, string $unit): ?float
    {
        $sided = $sides = [];
        foreach ($variants as $variant => $bunches) {
            foreach (Measured::of($bunches, $unit)->sided('b') as $one) {
                [$sided[], $sides[]] = [$one, (string) $variant];
            }
        }
        [$blocks] = Blocks::between($sided, $sides);
        $runs = array_merge(...array_map(
            static fn (Sided $one, string $side): array => $one->runs($side, '', Blocks::of($one, $side, $blocks)), $sided, $sides,
        ));
        try {
            $found = CompareSides::of(array_values(array_filter(
                $runs, static fn (AlikeRuns $r): bool => $r->kind === ResultKind::Equal,
            )), self::SURE);
        } catch (CoreException) {
            return null;
        }
        $tried = array_values(array_filter($found->sides, static fn (SideEffect $s): bool => $s->effect !== null));
        $k = count($tried);
        if ($k < self::VARIANTS || $found->spread() === null || $found->apart !== []) {
            return null;
        }
        $n = array_sum(array_map(static fn (SideEffect $s): int => $s->n, $tried));
        $effects = array_column($tried, 'effect', 'side');
        $between = (Sample::of(array_values(array_map(floatval(...), $effects)))->sd ?? 0.0) ** 2;
        $kept = $between > 0 ? max(0.0, 1 - $found->spread() ** 2 / ($n / $k * $between)) : 0.0;

        return isset($effects[$own]) ? ($kept - 1) * $effects[$own] : null;
    }

    /**
     * The runs of the chosen arm as something to compare with: at each level moved so far that their mean is the one drawn in.
     *
     * @param Seen $all of all arms
     *
     * @return list<Bunch>|null null where nothing was moved
     */
    public static function runs(Build $build, Seen $all, string $metric): ?array
    {
        $variants = [];
        foreach (array_keys($build->arms) as $arm) {
            $variants[$arm] = $all->ofArm((string) $arm)->read($metric);
        }
        $isMoved = false;
        $out = [];
        foreach (Measured::byCell($all->ofArm($build->chosenArm)->read($metric)) as $bunches) {
            $isHere = static fn (Bunch $b): bool => $b->alike->cell === $bunches[0]->alike->cell;
            $unit = $bunches[0]->unit;
            $shift = self::shift($build->chosenArm, array_map(
                static fn (array $of): array => array_values(array_filter($of, $isHere)), $variants,
            ), $unit);
            foreach ($bunches as $bunch) {
                $out[] = $shift === null ? $bunch : $bunch->moved($shift * Units::parse($unit)->factor);
            }
            $isMoved = $isMoved || $shift !== null;
        }

        return $isMoved ? $out : null;
    }
}
