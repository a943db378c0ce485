<?php

declare(strict_types=1);

namespace Lustrum\Core\Change;

use Lustrum\Core\InvalidInput;
use Lustrum\Core\Statistics\Interval;

/**
 * Expected against seen (`change.verdict`), by the interval of the difference: what it leaves open is not decided.
 *
 * That it is nothing more than something is a claim to lie within, and reads the narrower interval at 2·confidence − 1: two
 * one-sided tests (Schuirmann 1987, J. Pharmacokinet. Biopharm. 15, 657).
 */
final class JudgeChange
{
    /** So much of what was expected is the least that counts for it. */
    private const HALF = 0.5;

    /**
     * @param float         $expected   difference, in the unit of the metric; its sign is the direction
     * @param Interval|null $difference after less before; null: no run on one of the sides
     * @param float|null    $margin     within which it counts as unchanged, where nothing was to change
     * @param Interval|null $within     the same difference at 2·confidence − 1; null: as $difference
     *
     * @throws InvalidInput
     */
    public static function seen(
        float $expected, ?Interval $difference, ?float $margin = null, ?Interval $within = null,
    ): ChangeVerdict {
        if ($expected === 0.0 && $margin === null) {
            throw InvalidInput::because('Unchanged within what? A margin is needed.', 'margin');
        }
        if ($difference === null) {
            return ChangeVerdict::NobodyLooked;
        }
        if ($difference->low === null && $difference->high === null) {
            return ChangeVerdict::CannotTell;
        }

        return $expected === 0.0 ? self::unchanged($difference, (float) $margin, $within ?? $difference)
            : self::changed($expected, $expected, $difference, $within ?? $difference);
    }

    /**
     * The same of a range: its low end is what must be reached, its likely value what half of is meant.
     *
     * @param float $least  of the same sign as $likely, and nearer to nought
     */
    public static function range(float $least, float $likely, ?Interval $difference, ?Interval $within = null): ChangeVerdict
    {
        if ($difference === null) {
            return ChangeVerdict::NobodyLooked;
        }

        return $difference->low === null && $difference->high === null
            ? ChangeVerdict::CannotTell : self::changed($least, $likely, $difference, $within ?? $difference);
    }

    /** Where it was to stay as it was: within the margin or not. */
    public static function staying(float $margin, ?Interval $difference, ?Interval $within = null): ChangeVerdict
    {
        return match (true) {
            $difference === null => ChangeVerdict::NobodyLooked,
            $difference->low === null && $difference->high === null => ChangeVerdict::CannotTell,
            default => self::unchanged($difference, $margin, $within ?? $difference),
        };
    }

    /**
     * Where only a direction was hoped for, no size: shown this way, shown the other way, or not to be told.
     *
     * @param int $sign 1 where more is better
     */
    public static function towards(int $sign, ?Interval $difference): ChangeVerdict
    {
        if ($difference === null) {
            return ChangeVerdict::NobodyLooked;
        }
        [$near, $far] = self::ends($sign, $difference);

        return match (true) {
            $difference->low === null && $difference->high === null => ChangeVerdict::CannotTell,
            $near > 0 => ChangeVerdict::Better,
            $far < 0 => ChangeVerdict::Worse,
            default => ChangeVerdict::CannotTell,
        };
    }

    private static function changed(float $least, float $likely, Interval $difference, Interval $within): ChangeVerdict
    {
        $sign = $likely < 0 ? -1 : 1;
        [$near, $far] = self::ends($sign, $difference);
        [$from, $to] = self::ends($sign, $within);
        $size = abs($least);
        $half = self::HALF * abs($likely);

        return match (true) {
            $far < 0 => ChangeVerdict::Worse,
            $near > 0 && $near >= $half && $far >= $size => ChangeVerdict::Fixed,
            $near > 0 && $far < $size => ChangeVerdict::Partly,
            $near > 0 => ChangeVerdict::Better,
            $from <= 0 && $to < $half && $from > -$half => ChangeVerdict::NoEffect,
            default => ChangeVerdict::CannotTell,
        };
    }

    private static function unchanged(Interval $difference, float $margin, Interval $within): ChangeVerdict
    {
        return match (true) {
            ($within->low ?? -INF) >= -$margin && ($within->high ?? INF) <= $margin => ChangeVerdict::Fixed,
            ($difference->low ?? -INF) > $margin || ($difference->high ?? INF) < -$margin => ChangeVerdict::Worse,
            default => ChangeVerdict::CannotTell,
        };
    }

    /** @return array{float, float} the ends as they lie in the direction that is good, the nearer first */
    private static function ends(int $sign, Interval $difference): array
    {
        [$low, $high] = [$difference->low ?? -INF, $difference->high ?? INF];

        return $sign > 0 ? [$low, $high] : [-$high, -$low];
    }
}
