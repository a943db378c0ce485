<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\CoreException;
use Lustrum\Core\Reliability\KaplanMeier;
use Lustrum\Core\Reliability\Lives;
use Lustrum\Core\Reliability\LogRank;
use Lustrum\Core\Reliability\Weibull;

/** Looks at both sides of a comparison as lives, where some of their runs are lower bounds. */
final class CompareLives
{
    private const ONE_IN_TEN = 10;

    /** @return array{list<Life>, ?float} the sides that can be told, and p of the log-rank test between them */
    public static function look(string $hereLetter, Measured $here, string $otherLetter, Measured $other, float $confidence): array
    {
        if ($here->atLeast === [] && $other->atLeast === []) {
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
            $letter, count($m->values), $m->bounds(), $curve->median, $curve->low, $curve->high, $m->unit, $m->decimals, $oneInTen,
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

    private static function lives(Measured $measured): ?Lives
    {
        $times = [...$measured->values, ...$measured->atLeast];
        $ended = [...array_fill(0, count($measured->values), true), ...array_fill(0, count($measured->atLeast), false)];
        try {
            return Lives::of($times, $ended);
        } catch (CoreException) {
            return null;
        }
    }
}
