<?php

declare(strict_types=1);

namespace Lustrum\Domain\Working;

/** An answer as it was when it was kept. */
final readonly class KeptAnswer
{
    /**
     * @param float|null $u  standard uncertainty, in $unit
     * @param string     $at ISO instant
     */
    public function __construct(
        public float $value,
        public string $unit,
        public ?float $u,
        public string $text,
        public string $at,
    ) {
    }

    /** Is it the same to the last digit that anybody has, in its unit, and as sure? */
    public function says(self $other): bool
    {
        $near = static fn (float $a, float $b): bool => abs($a - $b) <= 1e-9 * max(abs($a), abs($b));

        return $this->unit === $other->unit && $near($this->value, $other->value) && $near($this->u ?? 0.0, $other->u ?? 0.0);
    }
}
