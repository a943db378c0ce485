<?php

declare(strict_types=1);

namespace Lustrum\Core\Said;

use Lustrum\Core\Quantity\Units;

/** One quantity in a line. */
final readonly class LinePart
{
    /**
     * @param string $text    as it is typed into a field: '412 N'
     * @param string $name    what the line calls it; empty where it does not
     * @param bool   $isLevel what it was tried at, rather than what came of it
     */
    public function __construct(
        public string $text,
        public string $unit,
        public string $name,
        public bool $isLevel,
    ) {
    }

    public function asResult(): self
    {
        return new self($this->text, $this->unit, $this->name, false);
    }

    /** Does it measure the same as something in this unit? */
    public function fits(string $unit): bool
    {
        return Units::fit($unit, $this->unit);
    }

    /** What it is to be called: as the line has it, else after what it measures. */
    public function called(): string
    {
        return $this->name !== '' ? mb_strtolower($this->name) : Units::parse($this->unit)->measures();
    }
}
