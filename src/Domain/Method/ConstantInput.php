<?php

declare(strict_types=1);

namespace Lustrum\Domain\Method;

use Lustrum\Core\Run\Constant;
use Lustrum\Shared\Limit;
use Lustrum\Shared\Number;
use Lustrum\Shared\UnitSymbol;
use Symfony\Component\Validator\Constraints as Assert;

/** A quantity of the fixture as it is typed. */
final readonly class ConstantInput
{
    /** @param float|null $u standard uncertainty, in $unit */
    public function __construct(
        #[Assert\Regex('/^[a-z][a-zA-Z0-9]{0,39}$/', message: 'A short name of letters and digits, beginning with a small letter.')]
        public string $key,
        #[Number]
        public float $value,
        #[UnitSymbol]
        public string $unit = '1',
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $name = '',
        #[Assert\PositiveOrZero(message: 'An uncertainty is not below nought.')]
        #[Number]
        public ?float $u = null,
    ) {
    }

    public function constant(): Constant
    {
        return new Constant($this->key, trim($this->name), $this->value, trim($this->unit) === '' ? '1' : trim($this->unit), $this->u);
    }
}
