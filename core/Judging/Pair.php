<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

/** What belongs together of two sides: a level, or a block within it, with the mean of each side. */
final readonly class Pair
{
    /** @param string $text level and block, as they are said */
    public function __construct(
        public string $text,
        public float $a,
        public int $na,
        public float $b,
        public int $nb,
    ) {
    }

    /** In per cent of the first; null where that is none. */
    public function percent(): ?float
    {
        return $this->a > 0 ? 100 * ($this->b - $this->a) / $this->a : null;
    }
}
