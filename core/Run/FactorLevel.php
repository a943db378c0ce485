<?php

declare(strict_types=1);

namespace Lustrum\Core\Run;

/** A level of a factor, as it was recorded on a run. */
final readonly class FactorLevel
{
    /**
     * @param string     $key   equal for levels that make one cell
     * @param string     $text  as it is said: to the step of its factor, in the unit of the factor
     * @param float|null $value as recorded, in the unit of the factor; null for words
     * @param int|null   $rank  place in the order of ordered words
     */
    public function __construct(
        public string $key,
        public string $text,
        public ?float $value = null,
        public ?int $rank = null,
    ) {
    }

    /** Where it stands along its factor; null for words without an order. */
    public function size(): ?float
    {
        return $this->value ?? ($this->rank === null ? null : (float) $this->rank);
    }
}
