<?php

declare(strict_types=1);

namespace Lustrum\Weighing;

use Lustrum\Core\CoreException;
use Lustrum\Core\Outcome\ResultKind;
use Lustrum\Core\Quantity\Digits;
use Lustrum\Core\Quantity\Units;
use Lustrum\Core\Reliability\KaplanMeier;
use Lustrum\Core\Reliability\Lives;
use Lustrum\Core\Reliability\LogRank;
use Lustrum\Core\Reliability\Weibull;

/** Metrics of which some runs ended before the event: looked at as lives, so that a bound counts as far as it goes. */
final class Bounded
{
    /** @return list<Further> nothing where no run is a lower bound */
    public static function look(string $hereLetter, Measured $here, string $otherLetter, Measured $other, float $confidence): array
    {
        if (self::lowerBounds($here) + self::lowerBounds($other) === 0) {
            return [];
        }
        $out = [];
        $groups = [];
        foreach ([[$hereLetter, $here], [$otherLetter, $other]] as [$letter, $measured]) {
            $lives = self::lives($measured);
            if ($lives === null) {
                continue;
            }
            $groups[] = $lives;
            $runs = array_map(static fn (RunFact $r): string => $r->id, [...$measured->runs, ...$measured->bounds]);
            $out[] = new Further(self::median($letter, $measured, KaplanMeier::of($lives, $confidence)), 'survival.kaplanMeier', $runs);
            try {
                $life = Weibull::of($lives, 10, $confidence)->life;
                $out[] = new Further(sprintf('%s: one in ten ends before %s.', $letter, Estimate::of($life, $measured->unit, $measured->decimals, 0)->text), 'survival.weibull', $runs);
            } catch (CoreException $e) {
                $out[] = new Further(sprintf('%s: %s', $letter, lcfirst($e->getMessage())), 'survival.weibull', $runs);
            }
        }
        if (count($groups) === 2) {
            try {
                $test = LogRank::of($groups);
                $out[] = new Further(sprintf('Log-rank, bounds included: p = %s; %s and %s %s.', Digits::plain($test->p, 2), $hereLetter, $otherLetter, $test->p < 1 - $confidence ? 'differ' : 'cannot be told apart'), 'survival.logRank', []);
            } catch (CoreException) {
                // No event on either side: the medians above have said so.
            }
        }

        return $out;
    }

    private static function lowerBounds(Measured $measured): int
    {
        return count(array_filter($measured->bounds, static fn (RunFact $r): bool => $r->reading($measured->metric)?->kind === ResultKind::AtLeast));
    }

    private static function lives(Measured $measured): ?Lives
    {
        $times = $measured->values;
        $ended = array_fill(0, count($times), true);
        $unit = Units::parse($measured->unit === '' ? '1' : $measured->unit);
        foreach ($measured->bounds as $run) {
            $reading = $run->reading($measured->metric);
            if ($reading !== null && $reading->kind === ResultKind::AtLeast) {
                $times[] = $unit->fromSi($reading->si);
                $ended[] = false;
            }
        }
        try {
            return Lives::of($times, $ended);
        } catch (CoreException) {
            return null;
        }
    }

    private static function median(string $letter, Measured $measured, KaplanMeier $curve): string
    {
        $bounds = count($measured->bounds);
        $counted = sprintf('%d ended, %d stopped before', count($measured->values), $bounds);
        if ($curve->median === null) {
            return sprintf('%s: half have not ended by the longest run (%s), so the median is only known to lie beyond.', $letter, $counted);
        }
        $number = static fn (?float $v): string => $v === null ? 'beyond what was tried' : Digits::decimals($v, $measured->decimals);

        return sprintf('%s: half reach %s %s [%s, %s] (%s).', $letter, $number($curve->median), $measured->unit, $number($curve->low), $number($curve->high), $counted);
    }
}
