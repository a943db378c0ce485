<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Outing;

/** One trial of the day, where it stands and why. */
final readonly class OutingStop
{
    public function __construct(
        public string $trial,
        public string $name,
        public string $device,
        public string $deviceId,
        public string $letter,
        public int $runs,
        public string $time,
        public string $why,
        public string $mind,
    ) {
    }
}
