<?php

declare(strict_types=1);

namespace Lustrum\Core\Failure;

/** How many holds close a failure, and what so many leave open (`failure.status`; success-run theorem). */
final class Closed
{
    /** Ceilings are taken to so much, so that a half is not made three by a rounding. */
    private const SAME = 1e-9;

    /**
     * So many as leave an unfixed design at most 1 − confidence of passing them all.
     *
     * @param int $failed of the runs before the fix, at that severity or milder
     */
    public static function holdsNeeded(int $failed, int $tried, float $confidence): int
    {
        return self::successRun(1 - self::share($failed, $tried), $confidence);
    }

    /** So many that all hold show, with this confidence, that at least this share does (success run). */
    public static function successRun(float $share, float $confidence): int
    {
        return max(1, (int) ceil(log(1 - $confidence) / log($share) - self::SAME));
    }

    /** Of passing so many although nothing was mended. */
    public static function chanceIfNotFixed(int $failed, int $tried, int $held): float
    {
        return (1 - self::share($failed, $tried)) ** $held;
    }

    /** The greatest share of tries in which it may still fail, after so many that all held (one-sided). */
    public static function mayStillFail(int $held, float $confidence): float
    {
        return $held === 0 ? 1.0 : 1 - (1 - $confidence) ** (1 / $held);
    }

    private static function share(int $failed, int $tried): float
    {
        return ($failed + 0.5) / ($tried + 1);
    }
}
