<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Next;

use Lustrum\Core\Judging\Meets;
use Lustrum\Core\Judging\MetricForecast;
use Lustrum\Core\Quantity\Digits;
use Lustrum\Core\Wording\DecisionWords;

/** Where the chosen candidates would take a metric, as a range. */
final readonly class ForecastView
{
    /**
     * @param list<string> $candidates that touch it
     * @param string|null  $nowText    as it is written beside the figure
     */
    private function __construct(
        public string $metric,
        public string $unit,
        public ?float $now,
        public ?float $low,
        public ?float $likely,
        public ?float $high,
        public int $decimals,
        public ?float $limit,
        public ?string $nowText,
        public ?string $lowText,
        public ?string $highText,
        public ?string $limitText,
        public Meets $meets,
        public array $candidates,
        public bool $entangled,
        public string $sentence,
    ) {
    }

    /** @param array<string, string> $names of metrics */
    public static function of(MetricForecast $f, array $names): self
    {
        $now = $f->now;
        $at = static fn (float $add): ?float => $now === null ? null : $now->mean + $add;
        $text = static fn (?float $v): ?string => $v === null || $now === null ? null : Digits::decimals($v, $now->decimals);
        $limit = $f->wanted?->limit;

        return new self(
            $names[$f->metric] ?? '', $f->unit, $now?->mean, $at($f->addLow), $at($f->addLikely), $at($f->addHigh),
            $now->decimals ?? 0, $limit,
            $text($now?->mean), $text($at(min($f->addLow, $f->addHigh))), $text($at(max($f->addLow, $f->addHigh))),
            $limit === null ? null : Digits::short($limit), $f->meets, $f->candidates, $f->entangled, DecisionWords::forecast($f, $names),
        );
    }
}
