<?php

declare(strict_types=1);

namespace Lustrum\Core\Run;

/** A channel that is worked out from others: its value with its standard uncertainty. */
final readonly class DerivedReading
{
    /**
     * @param float|null $value in the unit of the channel; null where it cannot be worked out
     * @param float|null $u     standard uncertainty, in the unit of the channel
     * @param bool       $waits for channels that are not read yet
     * @param string     $why   why there is no value
     */
    public function __construct(
        public Channel $channel,
        public ?float $value,
        public ?float $u,
        public bool $waits,
        public string $why,
    ) {
    }
}
