<?php

declare(strict_types=1);

namespace Lustrum\Core\Footing;

/** The values that a condition or setting had over a group of runs. */
final readonly class Level
{
    /**
     * @param list<float>  $numbers   in $unit
     * @param list<string> $words     states in words ('moist')
     * @param int          $unknown   runs on which nobody recorded it
     * @param float|null   $tolerance difference of means that still counts as equal
     */
    public function __construct(
        public array $numbers = [],
        public array $words = [],
        public int $unknown = 0,
        public ?float $tolerance = null,
        public string $unit = '',
    ) {
    }

    public function recorded(): bool
    {
        return $this->numbers !== [] || $this->words !== [];
    }

    public function mean(): ?float
    {
        return $this->numbers === [] ? null : array_sum($this->numbers) / count($this->numbers);
    }
}
