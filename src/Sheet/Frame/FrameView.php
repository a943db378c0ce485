<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Frame;

use Lustrum\Domain\Device\DeviceView;

/** What surrounds every sheet of a device. */
final readonly class FrameView
{
    /**
     * @param list<SpineTag> $spine newest first, a branch below what it came from
     * @param list<FrameModule> $modules  that builds carry, and devices that carry this one
     * @param list<string>   $people names to pick who said, asked or approved something from
     * @param bool           $write may this person change things here
     */
    public function __construct(
        public DeviceView $device,
        public array $spine,
        public int $requirements,
        public bool $write,
        public array $people,
        public array $modules,
    ) {
    }
}
