<?php

declare(strict_types=1);

namespace Lustrum\Domain\Device;

final readonly class DeviceView
{
    public function __construct(
        public string $id,
        public int $version,
        public string $workspace,
        public string $name,
        public string $brief,
        public string $users,
        public string $gates,
        public float $confidence,
        public string $currency,
        public ?float $costLimit,
        public ?float $hoursLimit,
        public ?int $changesLimit,
        public ?Origin $beganWith,
    ) {
    }
}
