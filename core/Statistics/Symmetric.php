<?php

declare(strict_types=1);

namespace Lustrum\Core\Statistics;

/** Eigenvalues and eigenvectors of small symmetric matrices (Jacobi 1846). */
final class Symmetric
{
    private const SWEEPS = 60;

    /**
     * The inverse of the square root of a matrix without negative eigenvalues; those under $least are left out.
     *
     * @param list<list<float>> $of
     *
     * @return list<list<float>>
     */
    public static function inverseRoot(array $of, float $least): array
    {
        [$values, $vectors] = self::eigen($of);
        $n = count($of);
        $out = array_fill(0, $n, array_fill(0, $n, 0.0));
        foreach ($values as $k => $value) {
            if ($value < $least) {
                continue;
            }
            for ($i = 0; $i < $n; ++$i) {
                for ($j = 0; $j < $n; ++$j) {
                    $out[$i][$j] += $vectors[$i][$k] * $vectors[$j][$k] / sqrt($value);
                }
            }
        }

        return array_map(array_values(...), array_values($out));
    }

    /**
     * @param list<list<float>> $a
     *
     * @return array{list<float>, array<int, array<int, float>>} values, and their vectors as columns
     */
    private static function eigen(array $a): array
    {
        $n = count($a);
        $v = [];
        for ($i = 0; $i < $n; ++$i) {
            $v[$i] = array_fill(0, $n, 0.0);
            $v[$i][$i] = 1.0;
        }
        for ($sweep = 0; $sweep < self::SWEEPS && self::beside($a) > 0.0; ++$sweep) {
            for ($p = 0; $p < $n - 1; ++$p) {
                for ($q = $p + 1; $q < $n; ++$q) {
                    self::turn($a, $v, $p, $q);
                }
            }
        }

        return [array_map(static fn (int $i): float => $a[$i][$i], array_keys($a)), $v];
    }

    /**
     * What stands beside the diagonal, where that is more than rounding.
     *
     * @param array<int, array<int, float>> $a
     */
    private static function beside(array $a): float
    {
        $beside = $size = 0.0;
        foreach ($a as $i => $row) {
            foreach ($row as $j => $value) {
                $size += $value * $value;
                $beside += $i === $j ? 0.0 : $value * $value;
            }
        }

        return $beside <= 1e-30 * $size ? 0.0 : $beside;
    }

    /**
     * Makes the element of row p and column q nought.
     *
     * @param array<int, array<int, float>> $a
     * @param array<int, array<int, float>> $v
     */
    private static function turn(array &$a, array &$v, int $p, int $q): void
    {
        if ($a[$p][$q] === 0.0) {
            return;
        }
        $theta = ($a[$q][$q] - $a[$p][$p]) / (2 * $a[$p][$q]);
        $t = ($theta < 0 ? -1 : 1) / (abs($theta) + sqrt($theta * $theta + 1));
        $c = 1 / sqrt($t * $t + 1);
        $s = $t * $c;
        foreach (array_keys($a) as $k) {
            [$x, $y] = [$a[$k][$p], $a[$k][$q]];
            [$a[$k][$p], $a[$k][$q]] = [$c * $x - $s * $y, $s * $x + $c * $y];
            [$x, $y] = [$v[$k][$p], $v[$k][$q]];
            [$v[$k][$p], $v[$k][$q]] = [$c * $x - $s * $y, $s * $x + $c * $y];
        }
        foreach (array_keys($a) as $k) {
            [$x, $y] = [$a[$p][$k], $a[$q][$k]];
            [$a[$p][$k], $a[$q][$k]] = [$c * $x - $s * $y, $s * $x + $c * $y];
        }
    }
}
