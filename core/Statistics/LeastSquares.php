<?php

declare(strict_types=1);

namespace Lustrum\Core\Statistics;

/**
 * Least squares by modified Gram–Schmidt with one re-orthogonalisation (Björck 1967; Rice 1966).
 *
 * Columns that depend on earlier ones are left out, which is how the rank is told.
 */
final readonly class LeastSquares
{
    private const SAME = 1e-10;

    /**
     * @param list<float>       $coefficients one for each column; nought where it was left out
     * @param list<list<float>> $inverse      (X'X)⁻¹, of the columns that were kept
     * @param list<int>         $kept         columns that were kept
     */
    private function __construct(
        public array $coefficients,
        public array $inverse,
        public float $residualSquares,
        public int $rank,
        public array $kept,
    ) {
    }

    /**
     * @param list<list<float>> $columns
     * @param list<float>       $y
     */
    public static function fit(array $columns, array $y): self
    {
        $q = $r = $kept = $d = [];
        $residual = $y;
        foreach ($columns as $j => $column) {
            $size = sqrt(self::dot($column, $column));
            $rest = $column;
            $along = array_fill(0, count($q), 0.0);
            for ($pass = 0; $pass < 2; ++$pass) {
                foreach ($q as $k => $direction) {
                    $part = self::dot($direction, $rest);
                    $along[$k] += $part;
                    $rest = self::less($rest, $part, $direction);
                }
            }
            $norm = sqrt(self::dot($rest, $rest));
            if ($size === 0.0 || $norm <= self::SAME * $size) {
                continue;
            }
            $direction = array_map(static fn (float $v): float => $v / $norm, $rest);
            $d[] = self::dot($direction, $residual);
            $residual = self::less($residual, $d[count($d) - 1], $direction);
            $q[] = $direction;
            $r[] = [...$along, $norm];
            $kept[] = $j;
        }
        $rank = count($kept);
        $upper = self::inverse($r);
        $coefficients = array_fill(0, count($columns), 0.0);
        $inverse = [];
        for ($i = 0; $i < $rank; ++$i) {
            for ($k = $i; $k < $rank; ++$k) {
                $coefficients[$kept[$i]] += $upper[$i][$k] * $d[$k];
            }
            for ($j = 0; $j < $rank; ++$j) {
                $sum = 0.0;
                for ($k = max($i, $j); $k < $rank; ++$k) {
                    $sum += $upper[$i][$k] * $upper[$j][$k];
                }
                $inverse[$i][$j] = $sum;
            }
        }

        return new self(
            array_values($coefficients), array_values(array_map(array_values(...), $inverse)), self::dot($residual, $residual), $rank,
            $kept,
        );
    }

    /**
     * @param list<float> $a
     * @param list<float> $b
     */
    private static function dot(array $a, array $b): float
    {
        $sum = 0.0;
        foreach ($a as $i => $value) {
            $sum += $value * $b[$i];
        }

        return $sum;
    }

    /**
     * @param list<float> $a
     * @param list<float> $b
     *
     * @return list<float>
     */
    private static function less(array $a, float $factor, array $b): array
    {
        foreach ($a as $i => $value) {
            $a[$i] = $value - $factor * $b[$i];
        }

        return $a;
    }

    /**
     * Inverse of the upper triangle whose j-th column is given.
     *
     * @param list<non-empty-list<float>> $columns
     *
     * @return array<int, array<int, float>>
     */
    private static function inverse(array $columns): array
    {
        $n = count($columns);
        $out = [];
        for ($j = 0; $j < $n; ++$j) {
            $out[$j][$j] = 1 / $columns[$j][$j];
            for ($i = $j - 1; $i >= 0; --$i) {
                $sum = 0.0;
                for ($k = $i + 1; $k <= $j; ++$k) {
                    $sum += $columns[$k][$i] * $out[$k][$j];
                }
                $out[$i][$j] = -$sum / $columns[$i][$i];
            }
        }

        return $out;
    }
}
