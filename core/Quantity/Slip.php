<?php

declare(strict_types=1);

namespace Lustrum\Core\Quantity;

/**
 * What the slip check says of a new reading.
 */
final readonly class Slip
{
    /**
     * @param float|null  $factor    what the typed value would have to be multiplied by
     * @param string|null $looksLike the unit it looks typed in, or '×10', '×1000' and their inverses
     * @param float|null  $corrected the value in the unit of the channel, if the suspicion is right
     */
    public function __construct(
        public bool $suspect,
        public ?float $factor,
        public ?string $looksLike,
        public ?float $corrected,
        public string $reason,
    ) {
    }
}
