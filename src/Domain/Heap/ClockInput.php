<?php

declare(strict_types=1);

namespace Lustrum\Domain\Heap;

use Lustrum\Shared\Identifier;
use Symfony\Component\Validator\Constraints as Assert;

/** When something was truly taken: by the time that it shows, or by the run that it begins with. */
final readonly class ClockInput
{
    public function __construct(
        #[Assert\Length(max: 40, maxMessage: 'At most {{ limit }} characters.')]
        public ?string $truly = null,
        #[Identifier]
        public ?string $run = null,
    ) {
    }
}
