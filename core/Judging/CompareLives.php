<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\CoreException;
use Lustrum\Core\Outcome\ResultKind;
use Lustrum\Core\Quantity\Units;
use Lustrum\Core\Reliability\KaplanMeier;
use Lustrum\Core\Reliability\Lives;
use Lustrum\Core\Reliability\LogRank;
use Lustrum\Core\Reliability\Weibull;
use Lustrum\Core\Run\RunFact;

/** Looks at both sides of a comparison as lives, where some of their runs are lower bounds. */
final class CompareLives
{
    private const ONE_IN_TEN = 10;

    /** @return array{list<Life>, ?float} the sides that can be told, and p of the log-rank test between them */
    public static function look(string $hereLetter, Measured $here, string $otherLetter, Measured $other, float $confidence): array
    {
        if (self::lowerBounds($here) + self::lowerBounds($other) === 0) {
            return [[], null];
        }
        $out = $groups = [];
        foreach ([[$hereLetter, $here], [$otherLetter, $other]] as [$letter, $measured]) {
            $lives = self::lives($measured);
            if ($lives !== null) {
                $groups[] = $lives;
                $out[] = self::life($letter, $measured, $lives, $confidence);
            }
        }

        return [$out, count($groups) === 2 ? self::logRank($groups) : null];
    }

    private static function life(string $letter, Measured $m, Lives $lives, float $confidence): Life
    {
        $curve = KaplanMeier::of($lives, $confidence);
        $oneInTen = null;
        $why = '';
        try {
            $oneInTen = Figure::of(Weibull::of($lives, self::ONE_IN_TEN, $confidence)->life, $m->unit, $m->decimals);
        } catch (CoreException $e) {
            $why = $e->getMessage();
        }

        return new Life(
            $letter, count($m->values), count($m->bounds), $curve->median, $curve->low, $curve->high, $m->unit, $m->decimals, $oneInTen,
            $why,
        );
    }

    /** @param list<Lives> $groups */
    private static function logRank(array $groups): ?float
    {
        try {
            return LogRank::of($groups)->p;
        } catch (CoreException) {
            // No event on either side: the medians have said so.
            return null;
        }
    }

    private static function lowerBounds(Measured $measured): int
    {
        $isLower = static fn (RunFact $r): bool => $r->reading($measured->metric)?->kind === ResultKind::AtLeast;

        return count(array_filter($measured->bounds, $isLower));
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
}
