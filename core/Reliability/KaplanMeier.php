<?php

declare(strict_types=1);

namespace Lustrum\Core\Reliability;

use Lustrum\Core\Statistics\Distribution\Normal;

/**
 * Share that survives, with runs that stopped without the event counted as far as they went: Kaplan and Meier (1958).
 *
 * Interval of the median by inverting the log-log interval of the curve (Brookmeyer and Crowley 1982); Greenwood's variance.
 */
final readonly class KaplanMeier
{
    /**
     * @param list<array{time: float, surviving: float, atRisk: int, low: float|null, high: float|null}> $steps
     * @param float|null                                                                                  $median null where it is not reached
     */
    private function __construct(
        public array $steps,
        public ?float $median,
        public ?float $low,
        public ?float $high,
    ) {
    }

    public static function of(Lives $lives, float $confidence): self
    {
        $z = Normal::quantile(0.5 + $confidence / 2);
        $surviving = 1.0;
        $greenwood = 0.0;
        $steps = [];
        $median = $low = $high = null;
        foreach ($lives->eventTimes() as $time) {
            $atRisk = $lives->atRisk($time);
            $events = $lives->eventsAt($time);
            $surviving *= 1 - $events / $atRisk;
            $greenwood += $atRisk > $events ? $events / ($atRisk * ($atRisk - $events)) : INF;
            $lower = $upper = null;
            if ($surviving > 0 && $surviving < 1) {
                $spread = $z * sqrt($greenwood) / abs(log($surviving));
                $lower = $surviving ** exp($spread);
                $upper = $surviving ** exp(-$spread);
            }
            $steps[] = ['time' => $time, 'surviving' => $surviving, 'atRisk' => $atRisk, 'low' => $lower, 'high' => $upper];
            $half = 0.5 + 1e-12;
            $median ??= $surviving <= $half ? $time : null;
            $low ??= ($lower ?? $surviving) <= $half ? $time : null;
            $high ??= $upper !== null && $upper <= $half ? $time : null;
        }

        return new self($steps, $median, $low, $high);
    }
}
