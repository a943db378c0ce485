<?php

declare(strict_types=1);

namespace Lustrum\Core\Check;

/** What other readings say that a quantity is. */
final readonly class Implied
{
    /** @param list<string> $from names of those readings */
    public function __construct(
        public string $what,
        public float $value,
        public string $unit,
        public array $from,
    ) {
    }

    /** @param list<string> $from */
    public function by(array $from): self
    {
        return new self($this->what, $this->value, $this->unit, $from);
    }
}
