<?php

declare(strict_types=1);

namespace Lustrum\Core\Statistics\Distribution;

/**
 * The non-central t distribution, from its definition T = (Z + δ)/S with S = χ_ν/√ν.
 *
 * P(T ≤ t) = ∫ Φ(t·s − δ) f_S(s) ds is integrated over the part that matters. Every term is positive, so that
 * either tail keeps its relative accuracy (about 1e-12).
 */
final class NonCentralT
{
    public static function cdf(float $t, float $df, float $delta): float
    {
        return $delta === 0.0 ? StudentT::cdf($t, $df) : self::integrate(
            $t, $df, $delta, static fn (float $s): float => Normal::cdf($t * $s - $delta),
        );
    }

    public static function upper(float $t, float $df, float $delta): float
    {
        return $delta === 0.0 ? StudentT::upper($t, $df) : self::integrate(
            $t, $df, $delta, static fn (float $s): float => Normal::upper($t * $s - $delta),
        );
    }

    /** t with P(T ≤ t) = p. */
    public static function quantile(float $p, float $df, float $delta): float
    {
        $spread = 1 + abs($delta);
        $f = static fn (float $t): float => $p > 0.5 ? (1 - $p) - self::upper($t, $df, $delta) : self::cdf($t, $df, $delta) - $p;
        // Start from the normal approximation of Johnson and Kraemer (see Johnson, Kotz and Balakrishnan, ch. 31), widened until it brackets.
        $z = Normal::quantile($p);
        $c = 1 - $z * $z / (2 * max($df, $z * $z));
        $start = $c > 0.05 ? ($delta + $z * sqrt(max(0.0, $c + $delta * $delta / (2 * $df)))) / $c : $delta;
        // In the normal score of the probability the curve is nearly straight, so that the secant method takes few steps.
        $score = static function (float $t) use ($p, $df, $delta, $z): float {
            $tail = $p > 0.5 ? self::upper($t, $df, $delta) : self::cdf($t, $df, $delta);

            return $tail > 0 && $tail < 1 ? ($p > 0.5 ? -1 : 1) * Normal::quantile($tail) - $z : NAN;
        };
        [$t0, $t1] = [$start, $start + 0.01 * (1 + abs($start))];
        [$s0, $s1] = [$score($t0), $score($t1)];
        for ($i = 0; $i < 12 && is_finite($s0) && is_finite($s1) && $s1 !== $s0; ++$i) {
            $next = $t1 - $s1 * ($t1 - $t0) / ($s1 - $s0);
            if (abs($next - $t1) <= 1e-13 * abs($next) || $s1 === 0.0) {
                return $next;
            }
            [$t0, $s0, $t1, $s1] = [$t1, $s1, $next, $score($next)];
            if (abs($s1) < 1e-14) {
                return $t1;
            }
        }
        $width = 0.02 * (1 + abs($start));
        for ($low = $start - $width, $i = 1; $i < 60 && $f($low) > 0; ++$i) {
            $low = $start - $width * 3 ** $i;
        }
        for ($high = $start + $width, $i = 1; $i < 60 && $f($high) < 0; ++$i) {
            $high = $start + $width * 3 ** $i;
        }

        return Solve::root($f, $low, $high);
    }

    /** @param callable(float): float $part */
    private static function integrate(float $t, float $df, float $delta, callable $part): float
    {
        // ln s is used as the variable: the density of ln S is smooth, unimodal and vanishes at both ends.
        $constant = log(2) + 0.5 * $df * log(0.5 * $df) - Special::logGamma(0.5 * $df);
        $log = static fn (float $u): float => $constant + $df * $u - 0.5 * $df * exp(2 * $u);
        $integrand = static function (float $u) use ($log, $part): float {
            $l = $log($u);

            return $l < -740 ? 0.0 : exp($l) * $part(exp($u));
        };
        $from = -max(14 / sqrt(2 * $df), 45 / $df);
        $to = min(max(14 / sqrt(2 * $df), 0.05), 4.0);
        // Φ(t·s − δ) turns from 0 to 1 while t·s passes δ − 9 … δ + 9: the panels follow it.
        $cuts = [$from, 0.0, $to];
        foreach ([-9, -4, -1.5, 0, 1.5, 4, 9] as $k) {
            if ($t !== 0.0 && ($delta + $k) / $t > 0) {
                $cuts[] = log(($delta + $k) / $t);
            }
        }
        $cuts = array_values(array_unique(array_filter($cuts, static fn (float $u): bool => $u >= $from && $u <= $to)));
        sort($cuts);
        $sum = 0.0;
        // Ten nodes to a panel of two standard deviations of ln S: about 1e-13.
        $scale = 2.0 / sqrt(2 * $df);
        for ($i = 1; $i < count($cuts); ++$i) {
            if ($integrand($cuts[$i - 1]) + $integrand($cuts[$i]) + $integrand(0.5 * ($cuts[$i - 1] + $cuts[$i])) > 0.0) {
                $sum += Solve::integral(
                    $integrand, $cuts[$i - 1], $cuts[$i], max(1, min(14, (int) ceil(($cuts[$i] - $cuts[$i - 1]) / $scale))),
                );
            }
        }

        return min(1.0, $sum);
    }
}
