<?php

declare(strict_types=1);

namespace Lustrum\Core\Wording;

use Lustrum\Core\Quantity\Digits;

/** How long something takes or took, as people say it. */
final class Durations
{
    private const MINUTE = 60;
    private const HOUR = 3600;
    private const DAY = 86400;

    public static function of(float $seconds): string
    {
        $whole = (int) round($seconds);
        [$hours, $minutes] = [intdiv($whole, self::HOUR), intdiv($whole % self::HOUR, self::MINUTE)];
        // Beyond ten minutes nobody counts seconds.
        $left = $whole > 10 * self::MINUTE ? 0 : $whole % self::MINUTE;

        return match (true) {
            $whole < self::MINUTE => $whole.' s',
            $whole < self::HOUR => $minutes.' min'.($left === 0 ? '' : ' '.$left.' s'),
            $whole < self::DAY => $hours.' h'.($minutes === 0 ? '' : ' '.$minutes.' min'),
            default => Digits::short(round($whole / self::DAY, 1)).' days',
        };
    }
}
