<?php

declare(strict_types=1);

namespace Lustrum\Core\Alike;

/** One of several sides: its effect against the mean of those that it is joined with. */
final readonly class SideEffect
{
    /** @param float|null $effect null where none of its values could be used */
    public function __construct(
        public string $side,
        public int $n,
        public ?float $effect,
    ) {
    }
}
