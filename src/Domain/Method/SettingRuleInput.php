<?php

declare(strict_types=1);

namespace Lustrum\Domain\Method;

use Lustrum\Core\Run\SettingRule;
use Lustrum\Shared\Name;
use Lustrum\Shared\Number;
use Lustrum\Shared\UnitSymbol;
use Symfony\Component\Validator\Constraints as Assert;

/** A setting as it is typed. */
final readonly class SettingRuleInput
{
    public function __construct(
        #[Name]
        public string $name,
        #[UnitSymbol]
        public string $unit = '',
        #[Number]
        public ?float $intended = null,
        #[Assert\PositiveOrZero(message: 'A tolerance is not below nought.')]
        #[Number]
        public ?float $tolerance = null,
    ) {
    }

    public function rule(): SettingRule
    {
        return new SettingRule(trim($this->name), trim($this->unit), $this->intended, $this->tolerance);
    }
}
