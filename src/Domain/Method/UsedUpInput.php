<?php

declare(strict_types=1);

namespace Lustrum\Domain\Method;

use Lustrum\Core\Run\UsedUp;
use Lustrum\Core\Run\UsedUpKind;
use Lustrum\Shared\Limit;
use Lustrum\Shared\Name;
use Symfony\Component\Validator\Constraints as Assert;

/** What a run uses up, as it is typed. */
final readonly class UsedUpInput
{
    public function __construct(
        #[Name]
        public string $what,
        public UsedUpKind $kind = UsedUpKind::Material,
        #[Assert\Range(notInRangeMessage: 'More than nothing, and no more than 1e12.', min: 1e-9, max: Limit::NUMBER)]
        public float $amount = 1.0,
        #[Assert\Length(max: 40, maxMessage: 'At most {{ limit }} characters.')]
        public string $unit = '',
    ) {
    }

    public function usedUp(): UsedUp
    {
        return new UsedUp($this->kind, trim($this->what), $this->amount, trim($this->unit));
    }
}
