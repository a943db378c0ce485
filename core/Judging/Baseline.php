<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

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
     * @param list<Wanted> $wanted
     *
     * @return array<string, self> by metric, in the unit of its requirement where there is one
     */
    public static function of(Build $build, Seen $seen, array $wanted): array
    {
        $units = Forecasts::units($wanted);
        $depends = [];
        foreach ($wanted as $one) {
            $depends[$one->metric] ??= $one->dependsOn;
        }
        $out = $differs = [];
        foreach ($seen->metrics() as $metric) {
            $alike = [];
            foreach ($seen->read($metric) as $bunch) {
                $made = $bunch->circumstances->made;
                $differs[$made] ??= Differences::of($seen->configuration($made), $build);
                if (Differences::that($differs[$made], $depends[$metric] ?? []) === []) {
                    $alike[] = $bunch;
                }
            }
            $m = Measured::of($alike, $units[$metric] ?? '');
            if ($m->values !== []) {
                $out[$metric] = new self($metric, Sample::of($m->values)->mean, $m->unit, $m->decimals, count($m->values));
            }
        }

        return $out;
    }
}
