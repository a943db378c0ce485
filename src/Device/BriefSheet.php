<?php

declare(strict_types=1);

namespace Lustrum\Device;

/** The device's own sheet: brief, limits and requirements. */
final readonly class BriefSheet
{
    /**
     * @param list<RequirementView> $requirements
     * @param list<string>          $metrics
     */
    public function __construct(
        public string $sentence,
        public DeviceView $device,
        public array $requirements,
        public array $metrics,
    ) {
    }
}
