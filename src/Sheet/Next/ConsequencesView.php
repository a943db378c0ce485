<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Next;

use Lustrum\Core\Judging\Consequences;
use Lustrum\Core\Judging\Device;
use Lustrum\Core\Judging\MetricForecast;
use Lustrum\Core\Wording\DecisionWords;

/** What the chosen candidates come to. */
final readonly class ConsequencesView
{
    /**
     * @param string             $hours     as it is written
     * @param list<string>       $over      limits that are passed, in sentences
     * @param list<ForecastView> $forecasts
     * @param list<string>       $entangled what can no longer be told apart, in sentences
     */
    private function __construct(
        public int $chosen,
        public string $cost,
        public string $hours,
        /** @var list<SumRow> against the limits of the device */
        public array $sums,
        public array $over,
        public array $forecasts,
        public array $entangled,
    ) {
    }

    /** @param array<string, string> $names of metrics */
    public static function of(Consequences $c, Device $device, array $names): self
    {
        return new self(
            $c->chosen, $c->cost, DecisionWords::hours($c->hours), SumRow::all($c, $device), DecisionWords::over($c, $device),
            array_map(static fn (MetricForecast $f): ForecastView => ForecastView::of($f, $names), $c->forecasts),
            array_map(static fn (MetricForecast $f): string => DecisionWords::entangled($f, $names), $c->entangled()),
        );
    }
}
