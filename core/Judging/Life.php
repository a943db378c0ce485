<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

/** A metric of which some runs ended before the event, looked at as lives: a bound counts as far as it goes. */
final readonly class Life
{
    /**
     * @param float|null  $median  null where half have not ended by the longest run
     * @param Figure|null $oneInTen by which one in ten has ended; null where too few have ended to tell
     * @param string      $why     why there is no such life
     */
    public function __construct(
        public string $letter,
        public int $ended,
        public int $stopped,
        public ?float $median,
        public ?float $low,
        public ?float $high,
        public string $unit,
        public int $decimals,
        public ?Figure $oneInTen,
        public string $why,
    ) {
    }
}
