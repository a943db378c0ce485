<?php

declare(strict_types=1);

namespace Lustrum\Core\Footing;

/** An instrument on a channel; the unit is the one that it showed. */
final readonly class Instrument
{
    public function __construct(
        public string $channel,
        public string $name,
        public string $unit,
        public ?float $resolution = null,
    ) {
    }
}
