<?php

declare(strict_types=1);

namespace Lustrum\Core\Alike;

use Lustrum\Core\Statistics\Symmetric;

/**
 * The interval of a difference goes over articles where one stands in several strata (Hurlbert 1984, Ecol. Monogr. 54, 187).
 *
 * With every article in every stratum by their sums of residuals, which is the two-sample t on article means; else by the
 * estimator of Bell and McCaffrey (2002, Survey Methodology 28, 169), which keeps its level with few articles too.
 */
final class OverArticles
{
    /** Eigenvalues under this are nought. */
    private const NOTHING = 1e-9;

    /**
     * @param list<AlikeRuns> $runs     averaged: an article has one value a stratum, and one side; one tried on both counts on each
     * @param float           $estimate of the difference
     * @param float           $leastSd  a standard deviation is this at least
     */
    public static function effect(array $runs, float $estimate, float $leastSd): Effect
    {
        [$rows, $strata] = self::rows($runs, $estimate);
        $total = 0.0;
        foreach ($rows as $of) {
            $total += array_sum(array_map(static fn (array $r): float => $r[0] ** 2, $of));
        }
        $areComplete = array_filter($rows, static fn (array $of): bool => count($of) < count($strata)) === [];
        $effect = $areComplete ? self::complete($rows, $estimate, $total) : self::inPart($rows, $strata, $estimate, $total);

        return new Effect($estimate, max($effect->se, $leastSd / sqrt($total)), $effect->df);
    }

    /**
     * @param list<AlikeRuns> $runs
     *
     * @return array{array<string, array<string, array{float, float}>>, array<string, int>} of each article and stratum the side less
     *     its mean there, and what is left over; values a stratum
     */
    private static function rows(array $runs, float $estimate): array
    {
        $of = $rows = $strata = [];
        foreach ($runs as $some) {
            $of[$some->stratum][] = $some;
        }
        $alone = 0;
        foreach ($of as $name => $stratum) {
            $strata[$name] = $n = AlikeRuns::count($stratum);
            $share = AlikeRuns::count($stratum, 'b') / $n;
            $mean = array_sum(array_map(static fn (AlikeRuns $r): float => array_sum($r->values), $stratum)) / $n;
            foreach ($stratum as $some) {
                $x = ($some->side === 'b' ? 1.0 : 0.0) - $share;
                foreach ($some->values as $value) {
                    $article = $some->article === null ? 'run '.++$alone : $some->side."\x1f".$some->article;
                    $rows[$article][$name] = [$x, $value - $mean - $estimate * $x];
                }
            }
        }

        return [$rows, $strata];
    }

    /**
     * se² = A/(A − 2)·Σ over articles of (Σ x̃·e)²/(Σ x̃²)².
     *
     * @param array<string, array<string, array{float, float}>> $rows
     */
    private static function complete(array $rows, float $estimate, float $total): Effect
    {
        $n = count($rows);
        $squares = 0.0;
        foreach ($rows as $of) {
            $squares += array_sum(array_map(static fn (array $r): float => $r[0] * $r[1], $of)) ** 2;
        }

        return new Effect($estimate, sqrt($n / ($n - 2) * $squares) / $total, $n - 2);
    }

    /**
     * Residuals of each article are made as large as they would be without the fit: v = (I − H)^(−½)·x̃/Σx̃² of its rows; then
     * K = D − U·Uᵀ, D the squares of v, U one column a stratum (v/√n there) and one of x̃·v/√Σx̃².
     *
     * @param array<string, array<string, array{float, float}>> $rows
     * @param array<string, int>                                $strata values of each
     */
    private static function inPart(array $rows, array $strata, float $estimate, float $total): Effect
    {
        $squares = $trace = $both = 0.0;
        $columns = array_keys($strata);
        $u = array_fill_keys([...$columns, ''], array_fill_keys([...$columns, ''], 0.0));
        foreach ($rows as $of) {
            $v = self::weights($of, $strata, $total);
            $d = array_sum(array_map(static fn (float $x): float => $x * $x, $v));
            $row = ['' => 0.0];
            $left = 0.0;
            foreach ($v as $name => $x) {
                $row[$name] = $x / sqrt($strata[$name]);
                $row[''] += $x * $of[$name][0] / sqrt($total);
                $left += $x * $of[$name][1];
            }
            $squares += $left * $left;
            $own = array_sum(array_map(static fn (float $x): float => $x * $x, $row));
            $trace += $d - $own;
            $both += $d * $d - 2 * $d * $own;
            foreach ($row as $i => $x) {
                foreach ($row as $j => $y) {
                    $u[$i][$j] += $x * $y;
                }
            }
        }
        foreach ($u as $row) {
            $both += array_sum(array_map(static fn (float $x): float => $x * $x, $row));
        }

        return new Effect($estimate, sqrt($squares), $both > 0 ? max(1.0, $trace * $trace / $both) : 1.0);
    }

    /**
     * @param array<string, array{float, float}> $of one article's rows
     * @param array<string, int>                 $strata
     *
     * @return array<string, float> by stratum
     */
    private static function weights(array $of, array $strata, float $total): array
    {
        $names = array_keys($of);
        $block = array_map(static fn (string $i): array => array_map(
            static fn (string $j): float => ($i === $j ? 1 - 1 / $strata[$i] : 0.0) - $of[$i][0] * $of[$j][0] / $total, $names,
        ), $names);
        $root = Symmetric::inverseRoot($block, self::NOTHING);
        $out = [];
        foreach ($names as $i => $name) {
            $out[$name] = 0.0;
            foreach ($names as $j => $other) {
                $out[$name] += $root[$i][$j] * $of[$other][0] / $total;
            }
        }

        return $out;
    }
}
