<?php

declare(strict_types=1);

namespace Lustrum\Method;

use Lustrum\Record\Name;
use Lustrum\Record\UnitSymbol;
use Symfony\Component\Validator\Constraints as Assert;

/** A setting that is read off the unit before each run, with its intended value. */
final readonly class SettingRule
{
    public function __construct(
        #[Name]
        public string $name,
        #[UnitSymbol]
        public string $unit = '',
        public ?float $intended = null,
        #[Assert\PositiveOrZero(message: 'A tolerance is not below nought.')]
        public ?float $tolerance = null,
    ) {
    }
}
