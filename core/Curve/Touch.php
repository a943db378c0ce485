<?php

declare(strict_types=1);

namespace Lustrum\Core\Curve;

/** Something that happened, or lasted, on the clock of a run; s. */
final readonly class Touch
{
    /** @param float|null $to null: it has no length */
    public function __construct(
        public float $from,
        public ?float $to = null,
    ) {
    }
}
