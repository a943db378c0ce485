<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

/** Ratings compared by order alone: from 60 to 70 need not be as far as from 70 to 80, so that only their order is sure. */
final readonly class ByOrder
{
    /** @param float $shift Hodges and Lehmann's, in the unit of the rating */
    public function __construct(
        public float $shift,
        public float $p,
    ) {
    }
}
