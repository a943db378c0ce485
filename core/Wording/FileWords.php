<?php

declare(strict_types=1);

namespace Lustrum\Core\Wording;

/** What is said of a file. */
final class FileWords
{
    private const MINUTE = 60;

    /** How long something plays: '1:05'; empty where it does not. */
    public static function plays(?float $seconds): string
    {
        $whole = (int) round($seconds ?? 0.0);

        return $seconds === null ? '' : sprintf('%d:%02d', intdiv($whole, self::MINUTE), $whole % self::MINUTE);
    }
}
