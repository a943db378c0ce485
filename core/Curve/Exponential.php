<?php

declare(strict_types=1);

namespace Lustrum\Core\Curve;

use Lustrum\Core\InvalidInput;
use Lustrum\Core\NotEstimable;
use Lustrum\Core\Statistics\Distribution\Solve;
use Lustrum\Core\Statistics\LeastSquares;

/**
 * Warming or cooling towards a surrounding: y = ambient + (start − ambient)·e^(−k·t), by least squares.
 *
 * For a given k the rest is linear, so that only k is searched (variable projection, Golub and Pereyra 1973): first over
 * a wide grid, then to the last digit. A bad start cannot lead astray.
 */
final readonly class Exponential
{
    private function __construct(
        public float $k,
        public float $ambient,
        public float $start,
        public float $rmse,
        public ?float $se,
    ) {
    }

    /** @throws NotEstimable */
    public static function fit(Samples $samples, ?float $ambient = null): self
    {
        $n = count($samples->t);
        $free = $ambient === null ? 3 : 2;
        $span = $samples->t[$n - 1] - $samples->t[0];
        if ($n < $free || $span <= 0) {
            throw NotEstimable::because('values.tooFew', sprintf('At least %d values at different times are needed.', $free), 't');
        }
        [$least, $most] = $samples->range();
        if ($most - $least <= 1e-12 * max(abs($most), 1e-300)) {
            throw NotEstimable::because('curve.flat', 'The curve does not move, so it has no rate.', 'y');
        }
        $cost = static fn (float $u): float => self::linear($samples, exp($u), $ambient)->residualSquares;
        // From a curve that is almost straight over the whole time to one that is over within a hundredth of it.
        $best = null;
        $grid = [];
        for ($i = 0; $i <= 120; ++$i) {
            $u = log(1e-4 / $span) + $i / 120 * log(1e7);
            $grid[] = [$u, $cost($u)];
            if ($best === null || $grid[$i][1] < $grid[$best][1]) {
                $best = $i;
            }
        }
        if ($best === 0) {
            throw NotEstimable::because('curve.straight', 'The curve is a straight line over this time, so its rate cannot be told. Watch it for longer.', 't');
        }
        if ($best === 120) {
            throw NotEstimable::because('curve.tooFast', 'The curve is over before the second value. Read it more often.', 't');
        }
        $u = self::minimum($samples, $ambient, $grid[$best - 1][0], $grid[$best + 1][0]);
        $k = exp($u);
        $fit = self::linear($samples, $k, $ambient);
        $level = $ambient ?? $fit->coefficients[1];
        $rise = $fit->coefficients[0];

        return new self($k, $level, $level + $rise, sqrt($fit->residualSquares / $n), self::se($samples, $k, $rise, $ambient === null, $fit->residualSquares));
    }

    /** Time from one value to another at a known rate. */
    public static function time(float $k, float $from, float $to, float $ambient): float
    {
        if (!($k > 0)) {
            throw InvalidInput::because('The rate must be above nought.', 'k');
        }
        $share = $from === $ambient ? 0.0 : ($to - $ambient) / ($from - $ambient);
        if ($share <= 0 || $share > 1) {
            throw NotEstimable::because('target.unreachable', sprintf('From %g it never reaches %g in surroundings of %g.', $from, $to, $ambient), 'to');
        }

        return -log($share) / $k;
    }

    private static function linear(Samples $samples, float $k, ?float $ambient): LeastSquares
    {
        $t0 = $samples->t[0];
        $decay = array_map(static fn (float $t): float => exp(-$k * ($t - $t0)), $samples->t);
        $ones = array_fill(0, count($decay), 1.0);
        $fit = $ambient === null ? LeastSquares::fit([$decay, $ones], $samples->y) : LeastSquares::fit([$decay], array_map(static fn (float $y): float => $y - $ambient, $samples->y));

        return $fit;
    }

    private static function minimum(Samples $samples, ?float $ambient, float $low, float $high): float
    {
        // The slope of the cost in ln k, by the envelope theorem: only the decay itself moves.
        $slope = static function (float $u) use ($samples, $ambient): float {
            $k = exp($u);
            $fit = self::linear($samples, $k, $ambient);
            $sum = 0.0;
            foreach ($samples->t as $i => $t) {
                $tau = $t - $samples->t[0];
                $model = ($ambient ?? $fit->coefficients[1]) + $fit->coefficients[0] * exp(-$k * $tau);
                $sum += ($samples->y[$i] - $model) * $fit->coefficients[0] * $k * $tau * exp(-$k * $tau);
            }

            return $sum;
        };

        return Solve::root($slope, $low, $high);
    }

    /** Standard error of k from the linearised model; null where there are no values to spare. */
    private static function se(Samples $samples, float $k, float $rise, bool $freeAmbient, float $squares): ?float
    {
        $n = count($samples->t);
        $p = $freeAmbient ? 3 : 2;
        if ($n <= $p) {
            return null;
        }
        $tau = array_map(static fn (float $t): float => $t - $samples->t[0], $samples->t);
        $columns = [array_map(static fn (float $t): float => exp(-$k * $t), $tau), array_map(static fn (float $t): float => -$rise * $t * exp(-$k * $t), $tau)];
        if ($freeAmbient) {
            $columns[] = array_fill(0, $n, 1.0);
        }
        $fit = LeastSquares::fit($columns, $samples->y);

        return $fit->rank < $p ? null : sqrt($fit->inverse[1][1] * $squares / ($n - $p));
    }
}
