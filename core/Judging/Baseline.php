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
     * @param list<RunFact> $runs
     * @param list<Wanted>  $wanted
     *
     * @return array<string, self> by metric, in the unit of its requirement where there is one
     */
    public static function of(array $runs, array $wanted): array
    {
        $units = Forecasts::units($wanted);
        $metrics = [];
        foreach ($runs as $run) {
            foreach ($run->readings as $reading) {
                $metrics[$reading->metric] = true;
            }
        }
        $out = [];
        foreach (array_map(strval(...), array_keys($metrics)) as $metric) {
            $m = Measured::of($metric, $runs, $units[$metric] ?? '');
            if ($m->values !== []) {
                $out[$metric] = new self($metric, Sample::of($m->values)->mean, $m->unit, $m->decimals, count($m->values));
            }
        }

        return $out;
    }
}
