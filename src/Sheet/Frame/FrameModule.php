<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Frame;

/** Another device that is joined to this one by a part: a module that a build carries, or what carries this one. */
final readonly class FrameModule
{
    /**
     * @param string|null $build   of this device that carries it; null: it carries this device
     * @param string      $letter  of the other device's build
     */
    public function __construct(
        public ?string $build,
        public string $device,
        public string $name,
        public string $letter,
    ) {
    }
}
