<?php

declare(strict_types=1);

namespace Lustrum\Core\Reliability;

use Lustrum\Core\InvalidInput;
use Lustrum\Core\NotEstimable;
use Lustrum\Core\Statistics\Distribution\Solve;
use Lustrum\Core\Statistics\Distribution\StudentT;
use Lustrum\Core\Statistics\Interval;
use Lustrum\Core\Statistics\Sample;

/**
 * Weibull lives by maximum likelihood, stopped ones included; intervals by profile likelihood, as wide as those of t with one
 * degree less than there are events (Meeker and Escobar 1998, Statistical Methods for Reliability Data, ch. 8).
 */
final readonly class Weibull
{
    /** From so many lives on the shape is looked for by Newton's method first. */
    private const MANY = 500;

    /** Doublings after which an end is not looked for any farther. */
    private const FAR = 40;

    private function __construct(
        public Interval $shape,
        public Interval $scale,
        public Interval $life,
        public float $logLikelihood,
    ) {
    }

    /**
     * @param float $percent failed, for the life that is asked for: 10 gives B10
     *
     * @throws NotEstimable
     */
    public static function of(Lives $lives, float $percent, float $confidence): self
    {
        if (!($percent > 0 && $percent < 100)) {
            throw InvalidInput::because('The share failed lies between 0 and 100 per cent.', 'b');
        }
        $r = $lives->events();
        if ($r < 2) {
            throw NotEstimable::because(
                'events.tooFew', sprintf('A life needs at least two events; there %s.', $r === 1 ? 'is one' : 'is none'), 'ended',
            );
        }
        // In units of the longest life, so that powers neither overflow nor vanish.
        $longest = max($lives->times);
        $logs = array_map(static fn (float $t): float => log($t / $longest), $lives->times);
        $eventLogs = array_values(array_filter($logs, static fn (int $i): bool => $lives->ended[$i], ARRAY_FILTER_USE_KEY));
        if (max($logs) - min([0.0, ...$eventLogs]) < 1e-12) {
            throw NotEstimable::because('lives.equal', 'All lives are equal, so their spread cannot be told.', 'times');
        }
        $mean = array_sum($eventLogs) / $r;
        $equation = static function (float $u) use ($logs, $mean): float {
            $k = exp($u);
            $s0 = $s1 = 0.0;
            foreach ($logs as $l) {
                $w = exp($k * $l);
                $s0 += $w;
                $s1 += $w * $l;
            }

            return $s1 / $s0 - 1 / $k - $mean;
        };
        $shape = count($logs) > self::MANY ? self::quickShape($logs, $eventLogs) : null;
        if ($shape === null) {
            for ($low = -1.0; $equation($low) > 0 && $low > -60; --$low) {
            }
            for ($high = 1.0; $equation($high) < 0 && $high < 60; ++$high) {
            }
            $shape = exp(Solve::root($equation, $low, $high));
        }
        $logScale = log(array_sum(array_map(static fn (float $l): float => exp($shape * $l), $logs)) / $r) / $shape;

        return self::describe($lives, $logs, $shape, $logScale, log($longest), $r, $percent, $confidence);
    }

    /**
     * @param list<float> $logs of the times, in units of the longest
     */
    private static function describe(
        Lives $lives, array $logs, float $shape, float $logScale, float $shift, int $r, float $percent, float $confidence,
    ): self {
        $likelihood = WeibullLikelihood::of($logs, $lives->ended);
        $t = StudentT::quantile(0.5 + $confidence / 2, $r - 1);
        $drop = $r * log1p($t * $t / ($r - 1)) / 2;
        $interval = static function (float $at, callable $profile, float $step, callable $quick) use ($drop, $likelihood): Interval {
            $best = $likelihood->areMany() ? null : $profile($at);
            $end = static fn (int $side): float => ($best === null ? $quick($side) : null) ?? self::end(
                static fn (float $x): float => ($best ?? $profile($at)) - $profile($x) - $drop, $at, $side * $step,
            );

            return new Interval(exp($at), exp($end(-1)), exp($end(1)));
        };
        $of = static function (float $q) use ($interval, $likelihood, $shape, $logScale, $shift, $drop): Interval {
            $at = $logScale + $q / $shape;
            $moved = $interval(
                $at, static fn (float $y): float => $likelihood->ofLife($y, $q), 1 / $shape,
                static fn (int $side): ?float => $likelihood->end(false, $shape, $at, $q, $drop, $side),
            );

            return new Interval(
                $moved->estimate * exp($shift), (float) $moved->low * exp($shift), (float) $moved->high * exp($shift),
            );
        };

        return new self(
            $interval(log($shape), static fn (float $u): float => $likelihood->ofShape(exp($u)), 1.0,
                static fn (int $side): ?float => $likelihood->end(true, $shape, $logScale, 0.0, $drop, $side),
            ), $of(0.0),
            $of(log(-log1p(-$percent / 100))), $likelihood->at($shape, $logScale, 0.0) - $r * $shift,
        );
    }

    /**
     * The best shape by Newton's method, which of many lives comes to rest within a few steps.
     *
     * @param list<float> $logs
     * @param list<float> $events of those that ended
     *
     * @return float|null null where it does not
     */
    private static function quickShape(array $logs, array $events): ?float
    {
        $sample = Sample::of($events);
        // The logarithm of a life has a standard deviation of π/√6 over the shape.
        $k = M_PI / sqrt(6) / max(1e-9, (float) $sample->sd);
        for ($i = 0; $i < self::FAR; ++$i) {
            $s0 = $s1 = $s2 = 0.0;
            foreach ($logs as $l) {
                $w = exp($k * $l);
                $s0 += $w;
                $s1 += $w * $l;
                $s2 += $w * $l * $l;
            }
            $step = ($s1 / $s0 - 1 / $k - $sample->mean) / ($s2 / $s0 - ($s1 / $s0) ** 2 + 1 / $k / $k);
            $k -= $step;
            if (!($k > 0) || !is_finite($k)) {
                return null;
            }
            if (abs($step) <= 1e-9 * $k) {
                return $k;
            }
        }

        return null;
    }

    /**
     * Where the likelihood has fallen so far, on one side of the best.
     *
     * @param callable(float): float $past below nought before that
     */
    private static function end(callable $past, float $from, float $step): float
    {
        $to = $from + $step;
        for ($i = 0; $i < self::FAR && $past($to) < 0; ++$i) {
            [$from, $to, $step] = [$to, $to + 2 * $step, 2 * $step];
        }

        return $past($to) < 0 ? $to : Solve::root($past, min($from, $to), max($from, $to));
    }
}
