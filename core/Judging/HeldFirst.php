<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Run\Configuration;
use Lustrum\Core\Run\Factor;
use Lustrum\Core\Run\Harder;
use Lustrum\Core\Run\Hardness;
use Lustrum\Core\Run\HeldBefore;
use Lustrum\Core\Run\Severity;

/** What must have held on the same configuration before a run begins, and has not: an order that is kept. */
final class HeldFirst
{
    /**
     * @param Configuration         $of     the run that is to begin
     * @param list<HeldBefore>      $before that its method names
     * @param array<string, string> $levels that it is to be made at, by factor
     * @param list<HeldRun>         $held
     *
     * @return list<HeldBefore> those that no run meets
     */
    public static function missing(Configuration $of, array $before, array $levels, array $held): array
    {
        $asked = [...$before, ...self::below($of, $levels)];

        return array_values(array_filter($asked, static fn (HeldBefore $b): bool => array_filter(
            $held, static fn (HeldRun $run): bool => self::meets($run, $b, $of),
        ) === []));
    }

    /**
     * The level below, of each factor whose levels wait for each other.
     *
     * @param array<string, string> $levels
     *
     * @return list<HeldBefore>
     */
    private static function below(Configuration $of, array $levels): array
    {
        $out = [];
        foreach ($of->factors as $factor) {
            $wanted = $factor->climbs ? $factor->level($levels[$factor->name] ?? '') : null;
            $milder = $wanted === null ? [] : array_filter($factor->levels, static fn (string $level): bool => Severity::levels(
                $factor->level($level), $wanted, $factor->harder,
            ) === Hardness::Milder);
            $next = self::hardest($factor, array_values($milder));
            if ($next !== null) {
                $out[] = new HeldBefore('', [$factor->name => $next]);
            }
        }

        return $out;
    }

    /** @param list<string> $levels */
    private static function hardest(Factor $factor, array $levels): ?string
    {
        $best = null;
        foreach ($levels as $level) {
            $isHarder = $best === null || Severity::levels($factor->level($level), $factor->level($best), $factor->harder) === Hardness::AtLeast;
            $best = $isHarder ? $level : $best;
        }

        return $best;
    }

    /** A run of that method, on the same configuration, at each of the levels or harder. */
    private static function meets(HeldRun $run, HeldBefore $wanted, Configuration $of): bool
    {
        $made = $run->configuration;
        $isThat = $wanted->method === '' ? $made->method === $of->method : mb_strtolower($made->methodName) === mb_strtolower(
            $wanted->method,
        );
        if (!$isThat || $made->arm !== $of->arm || Differences::made($made, $of) !== []) {
            return false;
        }
        $factors = array_column($made->factors, null, 'name');
        foreach ($wanted->levels as $name => $level) {
            $factor = $factors[$name] ?? new Factor((string) $name, harder: Harder::None);
            if (Severity::levels($factor->level($run->levels[$name] ?? ''), $factor->level($level), $factor->harder) !== Hardness::AtLeast) {
                return false;
            }
        }

        return true;
    }
}
