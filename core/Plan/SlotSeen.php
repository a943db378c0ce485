<?php

declare(strict_types=1);

namespace Lustrum\Core\Plan;

/** A planned run, and the run that it became. */
final readonly class SlotSeen
{
    /**
     * @param Made|null $made null where it is still to be made
     * @param int       $lost  tries of it that were lost in handling before
     * @param int       $aside tries of it that are set aside
     */
    public function __construct(
        public Slot $slot,
        public ?Made $made,
        public int $lost,
        public int $aside = 0,
    ) {
    }
}
