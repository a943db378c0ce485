<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Outcome\ResultKind;
use Lustrum\Core\Run\Alikeness;
use Lustrum\Core\Run\RunFact;

/** How far runs that are alike lie apart, so that a plan can say what it could find. */
final class Scatter
{
    private const LEAST_DF = 2;

    /**
     * Pooled over groups of alike runs of one build and variant.
     *
     * @param list<RunFact> $runs
     *
     * @return float|null in the SI unit; null where no group has enough
     */
    public static function within(array $runs, string $metric): ?float
    {
        $groups = [];
        foreach ($runs as $run) {
            foreach ($run->readings as $reading) {
                if ($reading->metric === $metric && $reading->kind === ResultKind::Equal && Alikeness::of($run)->isKnown()) {
                    $c = $run->configuration;
                    $groups[implode("\x1e", [$c->revision, $c->arm, Alikeness::of($run)->cell])][] = $reading->si;
                }
            }
        }
        $squares = $df = 0.0;
        foreach ($groups as $values) {
            $mean = array_sum($values) / count($values);
            $squares += array_sum(array_map(static fn (float $v): float => ($v - $mean) ** 2, $values));
            $df += count($values) - 1;
        }

        return $df < self::LEAST_DF ? null : sqrt($squares / $df);
    }
}
