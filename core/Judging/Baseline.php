<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Run\RunFact;
use Lustrum\Core\Statistics\Sample;

/** What a metric came to on a build, as what a forecast starts from. */
final readonly class Baseline
{
    private function __construct(
        public string $metric,
        public float $mean,
        public string $unit,
        public int $decimals,
        public int $n,
    ) {
    }

    /**
     * Stands on the same runs as the evidence: those that were made with the build as it is now, as far as it matters.
     *
     * @param list<RunFact> $runs
     * @param list<Wanted>  $wanted
     *
     * @return array<string, self> by metric, in the unit of its requirement where there is one
     */
    public static function of(Build $build, array $runs, array $wanted): array
    {
        $units = Forecasts::units($wanted);
        $depends = [];
        foreach ($wanted as $one) {
            $depends[$one->metric] ??= $one->dependsOn;
        }
        $out = $differs = [];
        foreach ($runs as $run) {
            $differs[spl_object_id($run->configuration)] ??= Differences::of($run->configuration, $build);
        }
        foreach (RunFact::byMetric($runs) as $metric => $of) {
            $metric = (string) $metric;
            $touched = array_map(static fn (array $d): bool => Differences::that($d, $depends[$metric] ?? []) !== [], $differs);
            $alike = array_values(array_filter($of, static fn (RunFact $run): bool => !$touched[spl_object_id($run->configuration)]));
            $m = Measured::of($metric, $alike, $units[$metric] ?? '');
            if ($m->values !== []) {
                $out[$metric] = new self($metric, Sample::of($m->values)->mean, $m->unit, $m->decimals, count($m->values));
            }
        }

        return $out;
    }
}
