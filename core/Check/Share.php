<?php

declare(strict_types=1);

namespace Lustrum\Core\Check;

/** How much of one quantity of the real thing a rehearsal carries. */
final readonly class Share
{
    /**
     * @param float|null $share   of the use; null where it was not rehearsed, or the use has none of it
     * @param float      $lacking what is missing, in $unit; not below nought
     */
    public function __construct(
        public string $what,
        public ?float $share,
        public float $lacking,
        public string $unit,
    ) {
    }
}
