<?php

declare(strict_types=1);

/**
 * Prints what was measured beside its budget, and whether that holds.
 *
 * Machines swing, some by a factor of two within minutes: a budget holds where a plain loop takes 75 ms, and scales with what
 * that loop took just before. What the server says of its processor is judged where it is known, since nobody else's work is
 * in it: three quarters of the budget of the wall.
 */
final class Table
{
    /** Milliseconds of the loop on the machine that the budgets were set for. */
    private const PLAIN = 75.0;

    private const OF_THE_WALL = 0.75;

    /** A loop that waited for more than this part of its time says nothing of the machine. */
    private const WAITED = 0.15;

    private static float $slower = 1.0;

    private static bool $isBusy = false;

    /** @var array<string, int> by what came of it */
    private static array $came = ['held' => 0, 'MISSED' => 0, 'too busy to tell' => 0];

    /** @param list<float> $values */
    public static function p95(array $values): float
    {
        sort($values);

        return $values[(int) ceil(0.95 * count($values)) - 1];
    }

    public static function title(string $title): void
    {
        printf("\n%s\n", $title);
        self::calibrate();
    }

    /**
     * How the machine is now: what is printed next is held against it.
     *
     * @param float|null $before what this gave before something that took long: the middle of both counts
     */
    public static function calibrate(?float $before = null): float
    {
        $begun = getrusage();
        $from = hrtime(true);
        for ($i = $sum = 0; $i < 6_000_000; ++$i) {
            $sum = ($sum * 31 + $i) & 0xFFFF;
        }
        $wall = (hrtime(true) - $from) / 1e6;
        $after = getrusage();
        $own = ($after['ru_utime.tv_sec'] - $begun['ru_utime.tv_sec']) * 1e3 + ($after['ru_utime.tv_usec'] - $begun['ru_utime.tv_usec']) / 1e3;
        self::$slower = ($wall + ($before ?? $wall)) / 2 / self::PLAIN;
        self::$isBusy = $own < $wall * (1 - self::WAITED);

        return $wall;
    }

    /** @param float|null $cpu of the server, in ms; null: it is not known */
    public static function time(string $what, float $ms, float $budget, string $more = '', ?float $cpu = null): void
    {
        $isMet = $cpu === null ? $ms <= $budget * self::$slower : $cpu <= $budget * self::OF_THE_WALL * self::$slower;
        $more = $cpu === null ? $more : trim(sprintf('%.0f ms of the processor, %s', $cpu, $more), ', ');
        self::print($what, $ms, 'ms', sprintf('%g ms', $budget), $isMet, $more);
    }

    /** Of a rate more is better. */
    public static function rate(string $what, float $rate, float $budget): void
    {
        self::print($what, $rate, '/s', sprintf('%g /s', $budget), $rate * self::$slower >= $budget);
    }

    /** What does not hang on how fast the machine is: sizes, counts, ratios. */
    public static function size(string $what, float $value, string $unit, float $budget, string $more = ''): void
    {
        printf(
            "  %-52s %10.2f %-5s budget %-10s %-18s %s\n", $what, $value, $unit, sprintf('%g %s', $budget, $unit),
            self::came($value <= $budget ? 'held' : 'MISSED'), $more,
        );
    }

    public static function row(string $what, float $value, string $unit, string $more = ''): void
    {
        printf("  %-52s %10.2f %-5s %-36s %s\n", $what, $value, $unit, '', $more);
    }

    /** Something that has a budget and is not there yet. */
    public static function notYet(string $what, string $budget): void
    {
        printf("  %-52s %10s %-5s budget %s\n", $what, 'not yet', '', $budget);
    }

    public static function skipped(string $what, string $why): void
    {
        printf("  %-52s %10s       %s\n", $what, 'skipped', $why);
    }

    public static function sum(): void
    {
        printf("\n%s\n", implode(', ', array_map(static fn (string $k, int $n): string => $n.' '.$k, array_keys(self::$came), self::$came)));
    }

    private static function print(string $what, float $value, string $unit, string $budget, bool $isMet, string $more = ''): void
    {
        printf(
            "  %-52s %10.2f %-5s budget %-10s %-18s loop %3.0f ms  %s\n", $what, $value, $unit, $budget,
            self::came($isMet ? 'held' : (self::$isBusy ? 'too busy to tell' : 'MISSED')), self::$slower * self::PLAIN, $more,
        );
    }

    private static function came(string $of): string
    {
        ++self::$came[$of];

        return $of;
    }
}
