<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Panel;

/** What one article came to on one scale. */
final readonly class PanelItem
{
    /**
     * @param string     $text mean with its interval, in words
     * @param float|null $low  null: one rater alone gives no interval
     */
    public function __construct(
        public string $serial,
        public string $arm,
        public string $text,
        public float $mean,
        public ?float $low,
        public ?float $high,
        public int $n,
    ) {
    }
}
