<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Devices;

use Lustrum\Domain\Device\DeviceView;

/** A device in the list of a workspace. */
final readonly class DeviceCard
{
    public function __construct(
        public DeviceView $device,
        public ?string $latest,
        public ?string $latestLetter,
        public int $revisions,
        public int $runs,
        public string $sentence,
    ) {
    }
}
