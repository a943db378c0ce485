<?php

declare(strict_types=1);

namespace Lustrum\Core\Check;

/** One thing that an instrument must be good enough in. */
final readonly class FitCheck
{
    private const EQUAL = 1e-9;

    /** What is needed of each: share of a step that is reached, samples within the event, steps within the difference. */
    public const NEEDED = ['lag' => 0.95, 'rate' => 10.0, 'resolution' => 10.0];

    /** @param float|null $value null where something is not known */
    private function __construct(
        public string $what,
        public ?float $value,
        public float $needed,
        public ?bool $fit,
    ) {
    }

    public static function of(string $what, ?float $value): self
    {
        $needed = self::NEEDED[$what];

        return new self($what, $value, $needed, $value === null ? null : $value >= $needed * (1 - self::EQUAL));
    }
}
