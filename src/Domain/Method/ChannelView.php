<?php

declare(strict_types=1);

namespace Lustrum\Domain\Method;

use Lustrum\Core\Outcome\ResultKind;
use Lustrum\Core\Run\CalibrationPoint;
use Lustrum\Core\Run\Channel;
use Lustrum\Domain\Device\Device;

/** A channel with the name of what it measures. */
final readonly class ChannelView
{
    /**
     * @param float|null             $lasts       in s
     * @param list<CalibrationPoint> $calibration
     */
    private function __construct(
        public string $key,
        public string $metric,
        public string $metricId,
        public string $unit,
        public string $instrument,
        public ?float $resolution,
        public ?float $low,
        public ?float $high,
        public ResultKind $whenStopped,
        public string $formula,
        public string $measures,
        public ?float $lasts,
        public ?float $difference,
        public bool $tared,
        public array $calibration,
    ) {
    }

    public static function of(Channel $c, Device $device): self
    {
        return new self(
            $c->key, $device->metricName($c->metric), $c->metric, $c->unit, $c->instrument,
            $c->resolution, $c->low, $c->high, $c->whenStopped, $c->formula, $c->measures, $c->lasts, $c->difference, $c->tared,
            $c->calibration,
        );
    }
}
