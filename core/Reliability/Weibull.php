<?php

declare(strict_types=1);

namespace Lustrum\Core\Reliability;

use Lustrum\Core\InvalidInput;
use Lustrum\Core\NotEstimable;
use Lustrum\Core\Statistics\Distribution\Normal;
use Lustrum\Core\Statistics\Distribution\Solve;
use Lustrum\Core\Statistics\Interval;

/**
 * Weibull lives by maximum likelihood, stopped ones included; intervals from the observed information on the log scale
 * (Meeker and Escobar 1998, Statistical Methods for Reliability Data, ch. 8).
 */
final readonly class Weibull
{
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
        for ($low = -1.0; $equation($low) > 0 && $low > -60; --$low) {
        }
        for ($high = 1.0; $equation($high) < 0 && $high < 60; ++$high) {
        }
        $shape = exp(Solve::root($equation, $low, $high));
        $logScale = log(array_sum(array_map(static fn (float $l): float => exp($shape * $l), $logs)) / $r) / $shape;

        return self::describe($lives, $logs, $shape, $logScale, log($longest), $r, $percent, $confidence);
    }

    /** @param list<float> $logs */
    private static function describe(
        Lives $lives, array $logs, float $shape, float $logScale, float $shift, int $r, float $percent, float $confidence,
    ): self {
        $zez = $zzez = $likelihood = 0.0;
        foreach ($logs as $i => $l) {
            $z = $shape * ($l - $logScale);
            $zez += $z * exp($z);
            $zzez += $z * $z * exp($z);
            $likelihood += ($lives->ended[$i] ? log($shape) + $z - ($l + $shift) : 0.0) - exp($z);
        }
        // Observed information of (ln scale, ln σ) with σ = 1/shape.
        $iss = $r * $shape * $shape;
        $isx = $shape * $zez;
        $ixx = $r + $zzez;
        $determinant = $iss * $ixx - $isx * $isx;
        [$vss, $vsx, $vxx] = [$ixx / $determinant, -$isx / $determinant, $iss / $determinant];
        $z = Normal::quantile(0.5 + $confidence / 2);
        $interval = static fn (float $log, float $variance): Interval => new Interval(
            exp($log), exp($log - $z * sqrt($variance)), exp($log + $z * sqrt($variance)),
        );
        $c = log(-log1p(-$percent / 100)) / $shape;

        return new self(
            $interval(log($shape), $vxx), $interval($logScale + $shift, $vss),
            $interval($logScale + $shift + $c, $vss + 2 * $c * $vsx + $c * $c * $vxx), $likelihood,
        );
    }
}
