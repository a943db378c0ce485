<?php

declare(strict_types=1);

namespace Lustrum\Method;

use Lustrum\Record\Choices;
use Lustrum\Record\Name;
use Lustrum\Record\UnitSymbol;
use Symfony\Component\Validator\Constraints as Assert;

/** A condition that must be recorded on every run; 'unknown' is a value. */
final readonly class Condition
{
    /**
     * @param string       $unit      empty for a condition in words
     * @param float|null   $tolerance difference that still counts as equal, in $unit
     * @param list<string> $states    for a condition in words: what to choose from
     */
    public function __construct(
        #[Name]
        public string $name,
        #[UnitSymbol]
        public string $unit = '',
        #[Assert\PositiveOrZero(message: 'A tolerance is not below nought.')]
        public ?float $tolerance = null,
        #[Choices]
        public array $states = [],
    ) {
    }
}
