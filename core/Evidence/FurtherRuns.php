<?php

declare(strict_types=1);

namespace Lustrum\Core\Evidence;

/** The least number of further runs with which a bound would pass, if estimate and spread stay as they are. */
final class FurtherRuns
{
    /** Under this many runs nothing is shown, whatever the numbers say. */
    public const FEW = 3;

    /** Where it is known how repeats spread. */
    public const FEW_KNOWN = 2;

    /** Who would need more than this has another design to look for. */
    public const MOST = 10_000;

    /**
     * @param callable(int): bool      $passes with so many in all; once it passes it goes on passing
     * @param callable(int): bool|null $exact  decides near the turn that the quicker one found; without it that one decides
     * @param int                       $few    in all at least
     */
    public static function after(int $n, callable $passes, ?callable $exact = null, int $few = self::FEW): ?int
    {
        $exact ??= $passes;
        $least = max($n, $few);
        if ($exact($least)) {
            return $least - $n;
        }
        for ($step = 1; $least + $step <= self::MOST && !$passes($least + $step); $step *= 2) {
        }
        $low = $least + intdiv($step, 2);
        $high = min($least + $step, self::MOST);
        while ($low + 1 < $high) {
            $mid = intdiv($low + $high, 2);
            $passes($mid) ? $high = $mid : $low = $mid;
        }
        while ($high <= self::MOST && !$exact($high)) {
            ++$high;
        }
        while ($high > $least + 1 && $high <= self::MOST && $exact($high - 1)) {
            --$high;
        }

        return $high > self::MOST ? null : $high - $n;
    }
}
