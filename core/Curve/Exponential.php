<?php

declare(strict_types=1);

namespace Lustrum\Core\Curve;

use Lustrum\Core\InvalidInput;
use Lustrum\Core\NotEstimable;
use Lustrum\Core\Statistics\Distribution\Solve;
use Lustrum\Core\Statistics\Distribution\StudentT;
use Lustrum\Core\Statistics\LeastSquares;

/**
 * Warming or cooling towards a surrounding: y = ambient + (start − ambient)·e^(−k·t), by least squares.
 *
 * For a given k the rest is linear, so that only k is searched (variable projection, Golub and Pereyra 1973): first over
 * a wide grid, then to the last digit. A bad start cannot lead astray.
 */
final readonly class Exponential
{
    /** Steps of the search over seven decades of k. */
    private const GRID = 120;

    /** So many samples, evenly chosen, tell where to look. */
    private const FEW = 400;

    /** A decay of this size cannot be seen beside the rounding of what it is added to. */
    private const NOTHING = 1e-12;

    private function __construct(
        public float $k,
        public float $ambient,
        public float $start,
        public float $rmse,
        public ?float $se,
        public ?float $low,
        public ?float $high,
    ) {
    }

    /** @throws NotEstimable */
    public static function fit(Samples $samples, ?float $ambient = null, float $confidence = 0.95): self
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
        // From a curve that is almost straight over the whole time to one that is over within a hundredth of it.
        $at = static fn (int $i): float => log(1e-4 / $span) + $i / self::GRID * log(1e7);
        $best = self::lowest($samples, $ambient, $at);
        if ($best === 0) {
            throw NotEstimable::because(
                'curve.straight', 'The curve is a straight line over this time, so its rate cannot be told. Watch it for longer.', 't',
            );
        }
        if ($best === self::GRID || self::isOver($samples, exp($at($best)))) {
            throw NotEstimable::because('curve.tooFast', 'The curve is over before the second value. Read it more often.', 't');
        }
        $u = self::minimum($samples, $ambient, $at($best - 1), $at($best + 1));
        $k = exp($u);
        [$rise, $level, $squares] = self::linear($samples, $k, $ambient);

        $se = self::se($samples, $k, $rise, $ambient === null, $squares);
        $half = $se === null ? null : StudentT::quantile(0.5 + $confidence / 2, $n - $free) * $se;

        return new self(
            $k, $level, $level + $rise, sqrt($squares / $n), $se, $half === null ? null : $k - $half, $half === null ? null : $k + $half,
        );
    }

    /**
     * Time from one value to another at a known rate.
     *
     * @throws InvalidInput|NotEstimable
     */
    public static function time(float $k, float $from, float $to, float $ambient): float
    {
        if (!($k > 0)) {
            throw InvalidInput::because('The rate must be above nought.', 'k');
        }
        $share = $from === $ambient ? 0.0 : ($to - $ambient) / ($from - $ambient);
        if ($share <= 0 || $share > 1) {
            throw NotEstimable::because(
                'target.unreachable', sprintf('From %g it never reaches %g in surroundings of %g.', $from, $to, $ambient), 'to',
            );
        }

        return -log($share) / $k;
    }

    /** Has everything happened before the second value? */
    private static function isOver(Samples $samples, float $k): bool
    {
        foreach ($samples->t as $t) {
            if ($t > $samples->t[0]) {
                return exp(-$k * ($t - $samples->t[0])) < self::NOTHING;
            }
        }

        return false;
    }

    /**
     * The place in the grid where the cost is least. Of many samples an even choice finds it; the whole says whether the
     * choice was right, and is gone through where it was not.
     *
     * @param callable(int): float $at logarithm of k at a place
     */
    private static function lowest(Samples $samples, ?float $ambient, callable $at): int
    {
        $cost = static fn (int $i): float => self::linear($samples, exp($at($i)), $ambient)[2];
        $few = $samples->thinned(self::FEW);
        if ($few !== $samples) {
            $best = self::least(
                array_map(static fn (int $i): float => self::linear($few, exp($at($i)), $ambient)[2], range(0, self::GRID)),
            );
            if ($best > 0 && $best < self::GRID && $cost($best) < min($cost($best - 1), $cost($best + 1))) {
                return $best;
            }
        }

        return self::least(array_map($cost, range(0, self::GRID)));
    }

    /** @param list<float> $costs */
    private static function least(array $costs): int
    {
        $best = 0;
        foreach ($costs as $i => $cost) {
            $best = $cost < $costs[$best] ? $i : $best;
        }

        return $best;
    }

    /**
     * What is linear once k is known, from values about their means, so that nothing is lost between large numbers.
     *
     * @return array{float, float, float} rise, ambient, and squares that are left
     */
    private static function linear(Samples $samples, float $k, ?float $ambient): array
    {
        $t0 = $samples->t[0];
        $n = count($samples->t);
        $decay = [];
        foreach ($samples->t as $t) {
            $decay[] = exp(-$k * ($t - $t0));
        }
        $meanDecay = $ambient === null ? array_sum($decay) / $n : 0.0;
        $meanY = $ambient ?? array_sum($samples->y) / $n;
        $both = $own = 0.0;
        foreach ($decay as $i => $d) {
            $d -= $meanDecay;
            $both += $d * ($samples->y[$i] - $meanY);
            $own += $d * $d;
        }
        $rise = $own > 0 ? $both / $own : 0.0;
        $level = $ambient ?? $meanY - $rise * $meanDecay;
        $squares = 0.0;
        foreach ($decay as $i => $d) {
            $squares += ($samples->y[$i] - $level - $rise * $d) ** 2;
        }

        return [$rise, $level, $squares];
    }

    private static function minimum(Samples $samples, ?float $ambient, float $low, float $high): float
    {
        // The slope of the cost in ln k, by the envelope theorem: only the decay itself moves.
        $slope = static function (float $u) use ($samples, $ambient): float {
            $k = exp($u);
            [$rise, $level] = self::linear($samples, $k, $ambient);
            $t0 = $samples->t[0];
            $sum = 0.0;
            foreach ($samples->t as $i => $t) {
                $tau = $t - $t0;
                $decay = exp(-$k * $tau);
                $sum += ($samples->y[$i] - $level - $rise * $decay) * $rise * $k * $tau * $decay;
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
        $columns = [
            array_map(static fn (float $t): float => exp(-$k * $t), $tau),
            array_map(static fn (float $t): float => -$rise * $t * exp(-$k * $t), $tau),
        ];
        if ($freeAmbient) {
            $columns[] = array_fill(0, $n, 1.0);
        }
        $fit = LeastSquares::fit($columns, $samples->y);

        return $fit->rank < $p ? null : sqrt($fit->inverse[1][1] * $squares / ($n - $p));
    }
}
