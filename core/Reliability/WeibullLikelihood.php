<?php

declare(strict_types=1);

namespace Lustrum\Core\Reliability;

use Lustrum\Core\Statistics\Distribution\Solve;

/** How likely lives are, by shape and scale; and at its best where one thing of them is held. */
final readonly class WeibullLikelihood
{
    private const MANY = 500;
    private const STEPS = 60;
    private const CLOSE = 1e-10;

    /**
     * @param list<float> $logs   of all times
     * @param list<float> $events of those that ended
     */
    private function __construct(
        private array $logs,
        private array $events,
    ) {
    }

    /**
     * @param list<float> $logs
     * @param list<bool>  $ended
     */
    public static function of(array $logs, array $ended): self
    {
        return new self($logs, array_values(array_filter($logs, static fn (int $i): bool => $ended[$i], \ARRAY_FILTER_USE_KEY)));
    }

    /** @param float $y logarithm of the life by which −ln(1 − share failed) is e^q; of the scale q is nought */
    public function at(float $shape, float $y, float $q): float
    {
        $out = count($this->events) * log($shape);
        foreach ($this->events as $l) {
            $out += $shape * ($l - $y) + $q - $l;
        }
        foreach ($this->logs as $l) {
            $out -= exp($shape * ($l - $y) + $q);
        }

        return $out;
    }

    /** Are there so many that an end is found by Newton's method, and not by looking along the profile? */
    public function areMany(): bool
    {
        return count($this->logs) > self::MANY;
    }

    /**
     * Where the best likelihood with one of both held has fallen so far, by Newton's method on both: of so many the likelihood is nearly
     * a parabola.
     *
     * @param float $shape of the best
     * @param float $y     life of the best
     * @param int   $side  −1 or 1
     *
     * @return float|null the logarithm of the shape, or the life; null where that does not come to rest
     */
    public function end(bool $isOfShape, float $shape, float $y, float $q, float $drop, int $side): ?float
    {
        $aim = $this->at($shape, $y, $q) - $drop;
        [, , , $kk, $ky, $yy] = $this->slopes($shape, $y, $q);
        // The inverse of the information says how far to begin, and how the other one moves with it.
        $determinant = $kk * $yy - $ky * $ky;
        [$varK, $varY, $both] = [-$yy / $determinant, -$kk / $determinant, $ky / $determinant];
        $off = $side * sqrt(2 * $drop * ($isOfShape ? $varK : $varY));
        $k = $shape + ($isOfShape ? $off : $both / $varY * $off);
        $x = $y + ($isOfShape ? $both / $varK * $off : $off);
        for ($i = 0; $i < self::STEPS; ++$i) {
            [$l, $dk, $dy, $kk, $ky, $yy] = $this->slopes($k, $x, $q);
            [$held, $heldK, $heldY] = $isOfShape ? [$dy, $ky, $yy] : [$dk, $kk, $ky];
            $determinant = $dk * $heldY - $dy * $heldK;
            if ($determinant === 0.0 || !is_finite($determinant)) {
                return null;
            }
            $stepK = (($l - $aim) * $heldY - $dy * $held) / $determinant;
            $stepX = ($dk * $held - ($l - $aim) * $heldK) / $determinant;
            [$k, $x] = [$k - $stepK, $x - $stepX];
            if (!($k > 0)) {
                return null;
            }
            if (abs($stepK) <= self::CLOSE * $k && abs($stepX) <= self::CLOSE * max(1.0, abs($x))) {
                $isOnItsSide = ($isOfShape ? $k - $shape : $x - $y) * $side > 0;

                return $isOnItsSide ? ($isOfShape ? log($k) : $x) : null;
            }
        }

        return null;
    }

    /** @return array{float, float, float, float, float, float} the likelihood; by shape, by life; twice by both, in that order */
    private function slopes(float $k, float $y, float $q): array
    {
        $r = count($this->events);
        $ended = array_sum($this->events) - $r * $y;
        $s0 = $s1 = $s2 = 0.0;
        foreach ($this->logs as $l) {
            $d = $l - $y;
            $e = exp($k * $d + $q);
            $s0 += $e;
            $s1 += $d * $e;
            $s2 += $d * $d * $e;
        }

        return [
            $r * log($k) + $k * $ended + $r * $q - array_sum($this->events) - $s0, $r / $k + $ended - $s1, $k * ($s0 - $r),
            -$r / $k / $k - $s2, $s0 - $r + $k * $s1, -$k * $k * $s0,
        ];
    }

    /** At the best scale. */
    public function ofShape(float $shape): float
    {
        $sum = array_sum(array_map(static fn (float $l): float => exp($shape * $l), $this->logs));

        return $this->at($shape, log($sum / count($this->events)) / $shape, 0.0);
    }

    /** At the best shape, where this life is held. */
    public function ofLife(float $y, float $q): float
    {
        $of = array_sum(array_map(static fn (float $l): float => $l - $y, $this->events));
        $slope = function (float $u) use ($y, $q, $of): float {
            $shape = exp($u);
            $out = count($this->events) / $shape + $of;
            foreach ($this->logs as $l) {
                $out -= ($l - $y) * exp(min(700.0, $shape * ($l - $y) + $q));
            }

            return $out;
        };
        for ($low = -1.0; $slope($low) < 0 && $low > -60; --$low) {
        }
        for ($high = 1.0; $slope($high) > 0 && $high < 60; ++$high) {
        }

        return $this->at(exp(Solve::root($slope, $low, $high)), $y, $q);
    }
}
