<?php

declare(strict_types=1);

namespace Lustrum\Core\Statistics\Distribution;

/** Roots and integrals that the distributions and intervals need. */
final class Solve
{
    /** Nodes and weights of the 10-point Gauss–Legendre rule on [−1, 1] (Abramowitz and Stegun, table 25.4). */
    private const NODES = [0.1488743389816312, 0.4333953941292472, 0.6794095682990244, 0.8650633666889845, 0.9739065285171717];
    private const WEIGHTS = [0.2955242247147529, 0.2692667193099963, 0.2190863625159820, 0.1494513491505806, 0.0666713443086881];

    /**
     * The root of a function that changes sign once in [low, high], by Ridders-guarded bisection to full precision.
     *
     * @param callable(float): float $f
     */
    public static function root(callable $f, float $low, float $high): float
    {
        $fl = $f($low);
        $fh = $f($high);
        if ($fl === 0.0) {
            return $low;
        }
        if ($fh === 0.0) {
            return $high;
        }
        $last = NAN;
        for ($i = 0; $i < 300; ++$i) {
            $mid = 0.5 * ($low + $high);
            if ($mid === $low || $mid === $high) {
                return $mid;
            }
            $fm = $f($mid);
            $s = sqrt($fm * $fm - $fl * $fh);
            if ($s === 0.0 || $fm === 0.0) {
                return $mid;
            }
            $new = $mid + ($mid - $low) * ($fl >= $fh ? 1 : -1) * $fm / $s;
            if ($new === $last || abs($new - $last) <= 2e-16 * abs($new)) {
                return $new;
            }
            $last = $new;
            $fn = $f($new);
            if ($fn === 0.0) {
                return $new;
            }
            if (($fm < 0) !== ($fn < 0)) {
                [$low, $fl, $high, $fh] = $mid < $new ? [$mid, $fm, $new, $fn] : [$new, $fn, $mid, $fm];
            } elseif (($fl < 0) !== ($fn < 0)) {
                [$high, $fh] = [$new, $fn];
            } else {
                [$low, $fl] = [$new, $fn];
            }
        }

        return 0.5 * ($low + $high);
    }

    /**
     * Integral over [low, high] by composite Gauss–Legendre.
     *
     * @param callable(float): float $f
     */
    public static function integral(callable $f, float $low, float $high, int $panels = 24): float
    {
        $h = ($high - $low) / $panels;
        $sum = 0.0;
        for ($p = 0; $p < $panels; ++$p) {
            $centre = $low + ($p + 0.5) * $h;
            foreach (self::NODES as $i => $node) {
                $sum += self::WEIGHTS[$i] * ($f($centre - 0.5 * $h * $node) + $f($centre + 0.5 * $h * $node));
            }
        }

        return $sum * 0.5 * $h;
    }
}
