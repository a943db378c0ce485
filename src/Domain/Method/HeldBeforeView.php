<?php

declare(strict_types=1);

namespace Lustrum\Domain\Method;

use Lustrum\Core\Run\HeldBefore;

/** What must have held before, with its levels as lines. */
final readonly class HeldBeforeView
{
    /** @param list<string> $levels a line for each factor: 'drop height: 40 cm' */
    private function __construct(
        public string $method,
        public array $levels,
        public string $why,
    ) {
    }

    public static function of(HeldBefore $b): self
    {
        return new self(
            $b->method,
            array_map(static fn (string $name, string $text): string => $name.': '.$text, array_keys($b->levels), $b->levels),
            $b->why,
        );
    }
}
