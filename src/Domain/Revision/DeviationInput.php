<?php

declare(strict_types=1);

namespace Lustrum\Domain\Revision;

use Lustrum\Core\Run\Deviation;
use Lustrum\Core\Run\DeviationKind;
use Lustrum\Shared\Limit;
use Lustrum\Shared\Name;
use Symfony\Component\Validator\Constraints as Assert;

/** One way in which an article differs from its build, as it is typed. */
final readonly class DeviationInput
{
    public function __construct(
        #[Name]
        public string $name,
        public DeviationKind $kind = DeviationKind::Workmanship,
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $value = '',
    ) {
    }

    public function deviation(): Deviation
    {
        return new Deviation($this->kind, trim($this->name), trim($this->value));
    }
}
