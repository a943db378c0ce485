<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

/** What a team set for a device as a whole: its confidence, its money and the limits of a next build. */
final readonly class Device
{
    /** @param string|null $costLimit decimal text in $currency */
    public function __construct(
        public string $id,
        public string $name,
        public float $confidence,
        public string $currency,
        public ?string $costLimit = null,
        public ?float $hoursLimit = null,
        public ?int $changesLimit = null,
    ) {
    }
}
