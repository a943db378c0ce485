<?php

declare(strict_types=1);

namespace Lustrum\Core\Statistics;

use Lustrum\Core\NotEstimable;
use Lustrum\Core\Statistics\Distribution\Solve;
use Lustrum\Core\Statistics\Distribution\StudentT;

/**
 * Values and bounds of one normal quantity together (`stats.censored`), by maximum likelihood.
 *
 * In γ = 1/σ and δ = μ/σ the likelihood is concave (Olsen 1978, Econometrica 46, 1211), so that Newton's method finds the
 * one maximum. The ends are where twice the logarithm of the likelihood ratio is n·ln(1 + t²/(n − 1)), which without
 * bounds is the t interval.
 */
final readonly class Censored
{
    private const STEPS = 200;
    private const CLOSE = 1e-14;

    /** From so many bounds on the ends are looked for by Newton's method first. */
    private const MANY = 1_000;

    /** Sums of so many have no more digits; what is left over after such a step is its square. */
    private const CLOSE_OF_MANY = 1e-10;

    private float $centre;
    private float $scale;

    /** How many values there are. In units of their own spread from their own mean, that is all that is needed of them. */
    private int $values;

    /** @var list<array{float, int}> bounds in those units, and how often each stands */
    private array $atLeast;

    /** @var list<array{float, int}> */
    private array $atMost;

    private float $gamma;
    private float $delta;

    /**
     * @param list<float> $values
     * @param list<float> $atLeast
     * @param list<float> $atMost
     */
    private function __construct(array $values, array $atLeast, array $atMost)
    {
        $sample = Sample::of($values);
        [$this->centre, $this->scale] = [$sample->mean, (float) $sample->sd];
        [$this->values, $this->atLeast, $this->atMost] = [count($values), $this->often($atLeast), $this->often($atMost)];
        [$this->gamma, $this->delta] = $this->maximum();
    }

    /**
     * @param list<float> $values  two different ones at least
     * @param list<float> $atLeast
     * @param list<float> $atMost
     *
     * @throws NotEstimable
     */
    public static function of(array $values, array $atLeast, array $atMost): self
    {
        if (count(array_unique($values, \SORT_REGULAR)) < 2) {
            throw NotEstimable::because('events.tooFew', 'Two different values that are no bounds are the least.', 'values');
        }

        return new self($values, $atLeast, $atMost);
    }

    /**
     * @param list<float> $bounds
     *
     * @return list<array{float, int}>
     */
    private function often(array $bounds): array
    {
        $out = [];
        foreach ($bounds as $bound) {
            $own = ($bound - $this->centre) / $this->scale;
            $out[serialize($own)] = [$own, 1 + ($out[serialize($own)][1] ?? 0)];
        }

        return array_values($out);
    }

    public function mean(): float
    {
        return $this->centre + $this->scale * $this->delta / $this->gamma;
    }

    /** Of maximum likelihood: divided by n. */
    public function sd(): float
    {
        return $this->scale / $this->gamma;
    }

    /** Values and bounds together. */
    public function n(): int
    {
        return $this->values + array_sum(array_column($this->atLeast, 1)) + array_sum(array_column($this->atMost, 1));
    }

    /** The mean with its two-sided interval; an end is null where the bounds leave it open. */
    public function interval(float $confidence): Interval
    {
        $t = StudentT::quantile(0.5 + $confidence / 2, $this->n() - 1);

        return new Interval($this->mean(), $this->end($t, -1.0), $this->end($t, 1.0));
    }

    /** One end: where the likelihood has fallen so far as it does without bounds at t standard errors. */
    public function end(float $t, float $direction): ?float
    {
        $n = $this->n();
        $fall = $n * log(1 + $t * $t / ($n - 1));
        if ($this->areMany()) {
            $quick = $this->quickEnd($fall / 2, $direction * $t / sqrt($n));
            if ($quick !== null) {
                return $quick;
            }
        }
        $best = $this->delta / $this->gamma;
        $f = fn (float $mean): float => 2 * $this->fallAt($mean) - $fall;
        for ($step = 1 / $this->gamma / sqrt($n), $i = 0; $i < self::STEPS; ++$i, $step *= 2) {
            if ($f($best + $direction * $step) > 0) {
                $root = Solve::root($f, $best, $best + $direction * $step);

                return $this->centre + $this->scale * $root;
            }
        }

        return null;
    }

    private function areMany(): bool
    {
        return count($this->atLeast) + count($this->atMost) > self::MANY;
    }

    /**
     * The same by Newton's method on both at once: the likelihood so far down, and its slope along the spread nought. With so many
     * bounds the likelihood is nearly a parabola.
     *
     * @param float $half half of what it falls by, twice
     * @param float $off  from the best mean, in spreads: where to begin
     *
     * @return float|null null where that does not come to rest
     */
    private function quickEnd(float $half, float $off): ?float
    {
        $aim = $this->likelihood($this->gamma, $this->delta) - $half;
        [$gamma, $delta] = [$this->gamma, $this->delta + $off];
        for ($i = 0; $i < self::STEPS; ++$i) {
            [$g, $d, $gg, $gd, $dd] = $this->slopes($gamma, $delta);
            [$down, $along] = [$this->likelihood($gamma, $delta) - $aim, $g * $gamma + $d * $delta];
            [$alongG, $alongD] = [$gg * $gamma + $g + $gd * $delta, $gd * $gamma + $dd * $delta + $d];
            $determinant = $g * $alongD - $d * $alongG;
            if ($determinant === 0.0) {
                return null;
            }
            [$stepG, $stepD] = [($down * $alongD - $d * $along) / $determinant, ($g * $along - $down * $alongG) / $determinant];
            [$gamma, $delta] = [$gamma - $stepG, $delta - $stepD];
            if (!($gamma > 0) || !is_finite($delta)) {
                return null;
            }
            if (abs($stepG) <= self::CLOSE_OF_MANY * $gamma && abs($stepD) <= self::CLOSE_OF_MANY * max(1.0, abs($delta))) {
                $isOnItsSide = ($delta / $gamma - $this->delta / $this->gamma) * $off > 0;

                return $isOnItsSide ? $this->centre + $this->scale * $delta / $gamma : null;
            }
        }

        return null;
    }

    /** By how much the logarithm of the likelihood is less at this mean than at its best. */
    public function below(float $mean): float
    {
        return $this->fallAt(($mean - $this->centre) / $this->scale);
    }

    private function fallAt(float $mean): float
    {
        $gamma = $this->gammaAt($mean);

        return max(0.0, $this->likelihood($this->gamma, $this->delta) - $this->likelihood($gamma, $gamma * $mean));
    }

    /** The spread that fits best where the mean is given: along a line of δ = μ·γ the likelihood is concave too. */
    private function gammaAt(float $mean): float
    {
        $slope = function (float $u) use ($mean): float {
            $gamma = exp($u);
            $sum = $this->values - $gamma * $gamma * $this->squares($mean);
            foreach ($this->atLeast as [$c, $times]) {
                $sum -= $times * Tail::hazard($gamma * ($c - $mean)) * $gamma * ($c - $mean);
            }
            foreach ($this->atMost as [$c, $times]) {
                $sum += $times * Tail::hazard(-$gamma * ($c - $mean)) * $gamma * ($c - $mean);
            }

            return $sum;
        };
        for ($low = log($this->gamma) - 1, $i = 0; $slope($low) < 0 && $i < self::STEPS; ++$i) {
            --$low;
        }
        for ($high = log($this->gamma) + 1, $i = 0; $slope($high) > 0 && $i < self::STEPS; ++$i) {
            ++$high;
        }

        return exp(Solve::root($slope, $low, $high));
    }

    /** The squares of the values from a mean, together: their own are their degrees of freedom. */
    private function squares(float $mean): float
    {
        return $this->values - 1 + $this->values * $mean * $mean;
    }

    private function likelihood(float $gamma, float $delta): float
    {
        $sum = $this->values * log($gamma) - 0.5 * $gamma * $gamma * $this->squares($delta / $gamma);
        foreach ($this->atLeast as [$c, $times]) {
            $sum += $times * Tail::log($gamma * $c - $delta);
        }
        foreach ($this->atMost as [$c, $times]) {
            $sum += $times * Tail::log($delta - $gamma * $c);
        }

        return $sum;
    }

    /** @return array{float, float} γ and δ of the greatest likelihood, by Newton's method with halved steps */
    private function maximum(): array
    {
        [$gamma, $delta] = [1.0, 0.0];
        $close = $this->areMany() ? self::CLOSE_OF_MANY : self::CLOSE;
        $best = $this->likelihood($gamma, $delta);
        for ($i = 0; $i < self::STEPS; ++$i) {
            [$g, $d, $gg, $gd, $dd] = $this->slopes($gamma, $delta);
            $determinant = $gg * $dd - $gd * $gd;
            [$stepG, $stepD] = [-($dd * $g - $gd * $d) / $determinant, -($gg * $d - $gd * $g) / $determinant];
            for ($part = 1.0; $part > 1e-12; $part /= 2) {
                [$newG, $newD] = [$gamma + $part * $stepG, $delta + $part * $stepD];
                $new = $newG > 0 ? $this->likelihood($newG, $newD) : -INF;
                if ($new >= $best - abs($best) * 1e-15) {
                    break;
                }
            }
            [$gamma, $delta, $best] = [$newG, $newD, $new];
            if (abs($stepG) <= $close * $gamma && abs($stepD) <= $close * max(1.0, abs($delta))) {
                break;
            }
        }

        return [$gamma, $delta];
    }

    /** @return array{float, float, float, float, float} by γ, by δ, and twice by γγ, γδ, δδ */
    private function slopes(float $gamma, float $delta): array
    {
        $n = $this->values;
        // The values have no sum and squares of n - 1.
        [$g, $d, $gg, $gd, $dd] = [$n / $gamma - $gamma * ($n - 1), -$n * $delta, -$n / $gamma ** 2 - ($n - 1), 0.0, (float) -$n];
        foreach ([[$this->atLeast, 1.0], [$this->atMost, -1.0]] as [$bounds, $sign]) {
            foreach ($bounds as [$c, $times]) {
                $w = $sign * ($gamma * $c - $delta);
                $hazard = $times * Tail::hazard($w);
                $curve = $hazard * ($hazard / $times - $w);
                $g -= $hazard * $sign * $c;
                $d += $hazard * $sign;
                $gg -= $curve * $c * $c;
                $gd += $curve * $c;
                $dd -= $curve;
            }
        }

        return [$g, $d, $gg, $gd, $dd];
    }
}
