<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Statistics\Sample;

/**
 * The runs by which a variant was chosen among many are not its baseline: its mean is drawn in towards that of all of them,
 * m + B·(its mean − m), B = max(0, 1 − s²/(r·variance of the means)) (James and Stein 1961).
 */
final class DrawnIn
{
    /** Of fewer variants nothing says how far apart they lie. */
    public const VARIANTS = 3;

    /**
     * @param list<list<float>> $variants values of each, its own among them
     *
     * @return float|null null where there are too few to say
     */
    public static function mean(float $own, array $variants): ?float
    {
        $tried = array_values(array_filter($variants, static fn (array $v): bool => $v !== []));
        $samples = array_map(static fn (array $v): Sample => Sample::of($v), $tried);
        $k = count($samples);
        $n = array_sum(array_map(static fn (Sample $s): int => $s->n, $samples));
        if ($k < self::VARIANTS || $n <= $k) {
            return null;
        }
        $within = array_sum(array_map(static fn (Sample $s): float => $s->squares(), $samples)) / ($n - $k);
        $means = Sample::of(array_map(static fn (Sample $s): float => $s->mean, $samples));
        $between = ($means->sd ?? 0.0) ** 2;
        $kept = $between > 0 ? max(0.0, 1 - $within / ($n / $k * $between)) : 0.0;

        return $means->mean + $kept * ($own - $means->mean);
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
        $arms = array_map(static fn (string|int $arm): array => $all->ofArm((string) $arm)->read($metric), array_keys($build->arms));
        $isMoved = false;
        $out = [];
        foreach (Measured::byCell($all->ofArm($build->chosenArm)->read($metric)) as $bunches) {
            $cell = $bunches[0]->alike->cell;
            $values = static fn (array $of): array => array_merge(...array_map(
                static fn (Bunch $b): array => $b->alike->cell === $cell ? $b->values : [], $of,
            ));
            $own = $values($bunches);
            $mean = $own === [] ? null : Sample::of($own)->mean;
            $drawn = $mean === null ? null : self::mean($mean, array_map($values, $arms));
            foreach ($bunches as $bunch) {
                $out[] = $mean === null || $drawn === null ? $bunch : $bunch->moved($drawn - $mean);
            }
            $isMoved = $isMoved || $drawn !== null;
        }

        return $isMoved ? $out : null;
    }
}
