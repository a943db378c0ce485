<?php

declare(strict_types=1);

namespace Lustrum\Domain\Method;

use Lustrum\Core\Run\Condition;
use Lustrum\Core\Run\ConditionAim;
use Lustrum\Shared\Choices;
use Lustrum\Shared\Limit;
use Lustrum\Shared\Name;
use Lustrum\Shared\Number;
use Lustrum\Shared\UnitSymbol;
use Symfony\Component\Validator\Constraints as Assert;

/** A condition as it is typed. */
final readonly class ConditionInput
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
        #[Number]
        public ?float $tolerance = null,
        #[Choices]
        public array $states = [],
        public ConditionAim $aim = ConditionAim::Nominal,
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $intended = '',
    ) {
    }

    public function condition(): Condition
    {
        return new Condition(trim($this->name), trim($this->unit), $this->tolerance, $this->states, $this->aim, trim($this->intended));
    }
}
