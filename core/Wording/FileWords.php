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

    /** How large a file is. */
    public static function size(int $bytes): string
    {
        return match (true) {
            $bytes < 1_000 => $bytes.' B',
            $bytes < 1_000_000 => round($bytes / 1_000).' kB',
            $bytes < 1_000_000_000 => sprintf('%.1f MB', $bytes / 1e6),
            default => sprintf('%.1f GB', $bytes / 1e9),
        };
    }
}
