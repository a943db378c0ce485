<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

/** How often one build held in one way of trying it: at a level, a rung of a ladder where the levels have an order. */
final readonly class Rung
{
    /**
     * @param string     $text     level, method where there are several, and state as they are said; empty: there is one way only
     * @param float|null $size     where it stands along its factor; null where the levels have no order, or it is not known
     */
    public function __construct(
        public string $text,
        public ?float $size,
        public int $held,
        public int $tried,
        public float $low,
        public float $high,
        public int $onlyJust = 0,
    ) {
    }
}
