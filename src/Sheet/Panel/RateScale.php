<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Panel;

/** What a rater is asked on one scale. */
final readonly class RateScale
{
    /**
     * @param list<string> $words lowest first; none: a line from nought to $most
     * @param string       $low   what stands at its low end
     */
    public function __construct(
        public string $channel,
        public string $metric,
        public array $words,
        public string $low,
        public string $high,
        public float $most,
    ) {
    }
}
