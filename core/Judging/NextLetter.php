<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

/**
 * The letter that a next build would bear. A first child takes the next free letter of the device: after A comes B, after Z
 * comes AA. A further child takes its parent's letter with a prime, D′, then D″; their children go on with a number, D′2.
 */
final class NextLetter
{
    private const PRIMES = ['′' => 1, '″' => 2, '‴' => 3, '⁗' => 4];

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

    /**
     * @param list<string> $letters of the builds there are
     * @param bool         $isFirst has the parent no other child?
     */
    public static function child(string $parent, array $letters, bool $isFirst): string
    {
        $taken = array_fill_keys(array_map(mb_strtolower(...), $letters), true);
        $isFree = static fn (string $letter): bool => !isset($taken[mb_strtolower($letter)]);
        if (preg_match('/^(?<stem>.*?[′″‴⁗])(?<number>\d*)$/u', $parent, $m) === 1 && $isFirst) {
            for ($n = max(2, (int) $m['number'] + 1); !$isFree($m['stem'].$n); ++$n) {
            }

            return $m['stem'].$n;
        }
        if ($isFirst) {
            return self::after($letters);
        }
        $base = rtrim($parent, '0123456789');
        $last = mb_substr($base, -1);
        $primes = self::PRIMES[$last] ?? 0;
        $stem = $primes === 0 ? $parent : mb_substr($base, 0, -1);
        for ($n = $primes + 1; !$isFree($stem.self::primes($n)); ++$n) {
        }

        return $stem.self::primes($n);
    }

    private static function primes(int $n): string
    {
        return array_search($n, self::PRIMES, true) ?: str_repeat('′', $n);
    }
}
