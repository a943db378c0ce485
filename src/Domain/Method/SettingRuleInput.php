<?php

declare(strict_types=1);

namespace Lustrum\Domain\Method;

use Lustrum\Core\Run\SettingRule;
use Lustrum\Core\Setting\SettingScale;
use Lustrum\Shared\Limit;
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
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $lock = '',
        #[Number]
        public ?float $low = null,
        #[Number]
        #[Assert\GreaterThan(propertyPath: 'low', message: 'The range begins below its end.')]
        public ?float $high = null,
        #[Assert\Positive(message: 'A step lies above nought.')]
        #[Number]
        public ?float $step = null,
        public SettingScale $scale = SettingScale::Linear,
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $more = '',
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $way = '',
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $readOff = '',
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $tool = '',
    ) {
    }

    public function rule(): SettingRule
    {
        return new SettingRule(
            trim($this->name), trim($this->unit), $this->intended, $this->tolerance, trim($this->lock), $this->low, $this->high,
            $this->step,
            $this->scale, trim($this->more), trim($this->way), trim($this->readOff), trim($this->tool),
        );
    }
}
