<?php

declare(strict_types=1);

namespace Lustrum\Core\Working;

/** One answer, worked out. */
final readonly class Worked
{
    /**
     * @param float|list<float>|null $value in $unit; null where there is none
     * @param float|null             $u     standard uncertainty, to first order, inputs independent; null where no input has one
     * @param array<string, float>   $parts shares of the variance, by input, the greatest first
     * @param bool                   $isExact said with all of its digits
     */
    public function __construct(
        public string $name,
        public float|array|null $value,
        public string $unit,
        public ?float $u,
        public array $parts,
        public bool $isExact = false,
    ) {
    }
}
