<?php

declare(strict_types=1);

namespace Lustrum\Domain\Working;

use Lustrum\Record\RecordInput;
use Lustrum\Shared\Identifier;
use Lustrum\Shared\Limit;
use Lustrum\Shared\Name;
use Lustrum\Shared\UnitSymbol;
use Lustrum\Shared\Version;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class WorkshopSumInput implements RecordInput
{
    /**
     * @param string            $unit      of the answer; empty: a plain number
     * @param list<SumVariable> $variables
     * @param string            $note      what it leaves out
     */
    public function __construct(
        #[Identifier]
        public string $workspace,
        #[Name]
        public string $name,
        #[Assert\NotBlank(message: 'This is still empty.', normalizer: 'trim')]
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $formula,
        #[Assert\Valid]
        #[Assert\Count(min: 1, max: 20, minMessage: 'What goes into it?', maxMessage: 'At most {{ limit }} values.')]
        public array $variables,
        #[UnitSymbol]
        public string $unit = '',
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $note = '',
        #[Version]
        public ?int $version = null,
    ) {
    }

    public function own(): OwnFormula
    {
        return new OwnFormula(trim($this->name), trim($this->formula), trim($this->unit), $this->variables, trim($this->note));
    }
}
