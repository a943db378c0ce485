<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

use Lustrum\Shared\Identifier;
use Symfony\Component\Validator\Constraints as Assert;

/** A plan that is only looked at: what it would take, and what it could find. */
final readonly class PlanInput
{
    public function __construct(
        #[Identifier]
        public string $revision,
        #[Assert\Valid]
        public LayoutInput $layout,
    ) {
    }
}
