<?php

declare(strict_types=1);

namespace Lustrum\Core\Run;

/** What a rig read by itself, or on its reference. */
final readonly class RigReading
{
    /**
     * @param string $at     when its run was begun
     * @param string $serial of the reference; empty: none is known
     * @param string $metric its name
     * @param float  $si     value in SI
     * @param float  $step   of the display, in SI
     */
    public function __construct(
        public Purpose $purpose,
        public string $at,
        public string $serial,
        public string $channel,
        public string $metric,
        public float $si,
        public float $step,
    ) {
    }
}
