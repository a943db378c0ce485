<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

/** How often one build held at one level: a rung of a ladder, where the levels have an order. */
final readonly class Rung
{
    /**
     * @param string     $text level as it is said
     * @param float|null $size where it stands along its factor; null where the levels have no order, or it is not known
     */
    public function __construct(
        public string $text,
        public ?float $size,
        public int $held,
        public int $tried,
        public float $low,
        public float $high,
    ) {
    }
}
