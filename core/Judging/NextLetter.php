<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

/** The letter that a next build would bear: after A comes B, after Z comes AA. */
final class NextLetter
{
    /** @param list<string> $letters of the builds there are */
    public static function after(array $letters): string
    {
        $plain = array_values(array_filter($letters, static fn (string $l): bool => preg_match('/^[A-Z]{1,2}$/', $l) === 1));
        if ($plain === []) {
            return 'A';
        }
        usort($plain, static fn (string $a, string $b): int => strlen($a) <=> strlen($b) ?: strcmp($a, $b));
        $next = $plain[count($plain) - 1];
        ++$next;

        return (string) $next;
    }
}
