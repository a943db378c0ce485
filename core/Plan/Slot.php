<?php

declare(strict_types=1);

namespace Lustrum\Core\Plan;

/** A run that is planned: where it stands, and what it is made at. */
final readonly class Slot
{
    /** @param array<string, string> $levels by factor, as the plan says them */
    public function __construct(
        public int $number,
        public int $repeat,
        public array $levels,
        public string $arm,
    ) {
    }

    public function text(): string
    {
        return implode(' · ', array_filter([...array_values($this->levels), $this->arm], static fn (string $t): bool => $t !== ''));
    }
}
