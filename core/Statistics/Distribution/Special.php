<?php

declare(strict_types=1);

namespace Lustrum\Core\Statistics\Distribution;

/**
 * Special functions behind the distributions, to about 1e-13 relative.
 *
 * Log-gamma: Lanczos' series with g = 607/128 and 15 terms (Godfrey 2001).
 * Saddle-point deviance and Stirling error: Loader (2000), Fast and accurate computation of binomial probabilities.
 * Continued fractions: modified Lentz (Thompson and Barnett 1986).
 */
final class Special
{
    private const LANCZOS = [
        0.99999999999999709182, 57.156235665862923517, -59.597960355475491248, 14.136097974741747174, -0.49191381609762019978,
        0.33994649984811888699e-4, 0.46523628927048575665e-4, -0.98374475304879564677e-4, 0.15808870322491248884e-3,
        -0.21026444172410488319e-3,
        0.21743961811521264320e-3, -0.16431810653676389022e-3, 0.84418223983852743293e-4, -0.26190838401581408670e-4,
        0.36899182659531622704e-5,
    ];

    /** Logarithm of the number of ways to choose k of n. */
    public static function logChoose(int $n, int $k): float
    {
        return self::logGamma($n + 1) - self::logGamma($k + 1) - self::logGamma($n - $k + 1);
    }

    /** ln Γ(x) for x > 0. */
    public static function logGamma(float $x): float
    {
        if ($x < 0.5) {
            return log(M_PI / sin(M_PI * $x)) - self::logGamma(1 - $x);
        }
        if ($x > 15) {
            return ($x - 0.5) * log($x) - $x + 0.91893853320467274178 + self::stirlingSeries($x);
        }
        --$x;
        $sum = self::LANCZOS[0];
        for ($i = 1; $i < 15; ++$i) {
            $sum += self::LANCZOS[$i] / ($x + $i);
        }
        $t = $x + 607 / 128 + 0.5;

        return ($x + 0.5) * log($t) - $t + log(2.5066282746310005024 * $sum);
    }

    /** ln Γ(n+1) − Stirling's approximation, n > 0 (Loader's stirlerr). */
    public static function stirlingError(float $n): float
    {
        return $n > 15 ? self::stirlingSeries($n) : self::logGamma($n + 1) - ($n + 0.5) * log($n) + $n - 0.91893853320467274178;
    }

    private static function stirlingSeries(float $x): float
    {
        $y = 1 / ($x * $x);

        return (1 / 12 - $y * (1 / 360 - $y * (1 / 1260 - $y * (1 / 1680 - $y * (1 / 1188 - $y * 691 / 360360))))) / $x;
    }

    /** Deviance x·ln(x/m) + m − x, without cancellation near x = m. */
    public static function deviance(float $x, float $m): float
    {
        if (abs($x - $m) < 0.1 * ($x + $m)) {
            $v = ($x - $m) / ($x + $m);
            $sum = ($x - $m) * $v;
            $term = 2 * $x * $v;
            for ($j = 1; $j < 1000; ++$j) {
                $term *= $v * $v;
                $next = $sum + $term / (2 * $j + 1);
                if ($next === $sum) {
                    return $next;
                }
                $sum = $next;
            }
        }

        return $x * log($x / $m) + $m - $x;
    }

    /** x^a (1−x)^b / B(a, b), with y = 1 − x given so that neither end loses digits. */
    public static function betaKernel(float $a, float $b, float $x, float $y): float
    {
        $n = $a + $b;
        $log = self::stirlingError($n) - self::stirlingError($a) - self::stirlingError($b)
            - self::deviance($a, $n * $x) - self::deviance($b, $n * $y);

        return exp($log) * sqrt($a * $b / (2 * M_PI * $n));
    }

    /** x^a e^−x / Γ(a). */
    public static function gammaKernel(float $a, float $x): float
    {
        return exp(-self::stirlingError($a) - self::deviance($a, $x)) * sqrt($a / (2 * M_PI));
    }

    /**
     * Regularised incomplete beta function I_x(a, b) and its complement.
     *
     * @return array{float, float} lower and upper part, each to full relative accuracy when it is the smaller
     */
    public static function beta(float $a, float $b, float $x, float $y): array
    {
        if ($x <= 0) {
            return [0.0, 1.0];
        }
        if ($y <= 0) {
            return [1.0, 0.0];
        }
        $kernel = self::betaKernel($a, $b, $x, $y);
        if ($x < ($a + 1) / ($a + $b + 2)) {
            $lower = $kernel / $a * self::betaFraction($a, $b, $x);

            return [$lower, 1 - $lower];
        }
        $upper = $kernel / $b * self::betaFraction($b, $a, $y);

        return [1 - $upper, $upper];
    }

    private static function betaFraction(float $a, float $b, float $x): float
    {
        $c = 1.0;
        $d = 1 / self::safe(1 - ($a + $b) * $x / ($a + 1));
        $h = $d;
        for ($m = 1; $m < 200000; ++$m) {
            $even = $m * ($b - $m) * $x / (($a + 2 * $m - 1) * ($a + 2 * $m));
            $d = 1 / self::safe(1 + $even * $d);
            $c = self::safe(1 + $even / $c);
            $h *= $d * $c;
            $odd = -($a + $m) * ($a + $b + $m) * $x / (($a + 2 * $m) * ($a + 2 * $m + 1));
            $d = 1 / self::safe(1 + $odd * $d);
            $c = self::safe(1 + $odd / $c);
            $step = $d * $c;
            $h *= $step;
            if (abs($step - 1) < 1e-15) {
                break;
            }
        }

        return $h;
    }

    /**
     * Regularised incomplete gamma functions P(a, x) and Q(a, x).
     *
     * @return array{float, float}
     */
    public static function gamma(float $a, float $x): array
    {
        if ($x <= 0) {
            return [0.0, 1.0];
        }
        if (is_infinite($x)) {
            return [1.0, 0.0];
        }
        $kernel = self::gammaKernel($a, $x);
        if ($x < $a + 1) {
            $term = $sum = 1 / $a;
            for ($n = 1; $n < 200000 && $term > $sum * 1e-17; ++$n) {
                $term *= $x / ($a + $n);
                $sum += $term;
            }
            $lower = $kernel * $sum;

            return [$lower, 1 - $lower];
        }
        $b = $x + 1 - $a;
        $c = 1e300;
        $d = 1 / self::safe($b);
        $h = $d;
        for ($i = 1; $i < 200000; ++$i) {
            $an = -$i * ($i - $a);
            $b += 2;
            $d = 1 / self::safe($an * $d + $b);
            $c = self::safe($b + $an / $c);
            $h *= $d * $c;
            if (abs($d * $c - 1) < 1e-15) {
                break;
            }
        }
        $upper = $kernel * $h;

        return [1 - $upper, $upper];
    }

    private static function safe(float $x): float
    {
        return abs($x) < 1e-300 ? 1e-300 : $x;
    }
}
