<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Weigh;

/** One of several sides. */
final readonly class SideMark
{
    /**
     * @param float|null $effect against the mean of all that it is joined with
     * @param string     $groups letters; sides that share one cannot be told apart
     */
    public function __construct(
        public string $side,
        public int $n,
        public ?float $effect,
        public string $text,
        public string $groups,
    ) {
    }
}
