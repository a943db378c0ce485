<?php

declare(strict_types=1);

/** Prints what was measured beside its budget. */
final class Table
{
    /** @param list<float> $values */
    public static function p95(array $values): float
    {
        sort($values);

        return $values[(int) ceil(0.95 * count($values)) - 1];
    }

    public static function title(string $title): void
    {
        printf("\n%s\n", $title);
    }

    public static function row(string $what, float $value, string $unit, string $budget, string $more = ''): void
    {
        printf("  %-52s %10.2f %-5s %-20s %s\n", $what, $value, $unit, $budget === '' ? '' : 'budget '.$budget, $more);
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
}
