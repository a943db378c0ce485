<?php

declare(strict_types=1);

namespace Lustrum\Domain\Method;

use Lustrum\Core\Outcome\ResultKind;
use Lustrum\Core\Run\Channel;
use Lustrum\Domain\Device\Device;

/** A channel with the name of what it measures. */
final readonly class ChannelView
{
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
    ) {
    }

    public static function of(Channel $c, Device $device): self
    {
        return new self(
            $c->key, $device->metricName($c->metric), $c->metric, $c->unit, $c->instrument,
            $c->resolution, $c->low, $c->high, $c->whenStopped, $c->formula,
        );
    }
}
