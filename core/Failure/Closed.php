<?php

declare(strict_types=1);

namespace Lustrum\Core\Failure;

/**
 * How many holds close a failure, and what so many leave open (`failure.status`).
 *
 * Where some tries had held, the success-run theorem with the share that failed. Where every one failed, how often an unfixed
 * design fails is known by these alone: Beta–binomial with Jeffreys' prior, so that one failure of one try asks for five.
 */
final class Closed
{
    /** Ceilings are taken to so much, so that a half is not made three by a rounding. */
    private const SAME = 1e-9;

    /** One hold after nothing but failures may be luck, whatever the confidence. */
    private const LEAST = 2;

    /**
     * So many as leave an unfixed design at most 1 − confidence of passing them all.
     *
     * @param int $failed of the tries that an unfixed design had, at that severity or milder
     */
    public static function holdsNeeded(int $failed, int $tried, float $confidence): int
    {
        if ($failed !== $tried) {
            return self::successRun(1 - self::share($failed, $tried), $confidence);
        }
        for ($held = self::LEAST; self::chanceIfNotFixed($failed, $tried, $held) > 1 - $confidence + self::SAME; ++$held) {
        }

        return $held;
    }

    /** So many that all hold show, with this confidence, that at least this share does (success run). */
    public static function successRun(float $share, float $confidence): int
    {
        return max(1, (int) ceil(log(1 - $confidence) / log($share) - self::SAME));
    }

    /** Of passing so many although nothing was mended. */
    public static function chanceIfNotFixed(int $failed, int $tried, int $held): float
    {
        if ($failed !== $tried) {
            return (1 - self::share($failed, $tried)) ** $held;
        }
        $chance = 1.0;
        for ($i = 0; $i < $held; ++$i) {
            $chance *= (0.5 + $i) / ($failed + 1 + $i);
        }

        return $chance;
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
