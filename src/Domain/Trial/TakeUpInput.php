<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

use Symfony\Component\Validator\Constraints as Assert;

/** What a line was read as, accepted or corrected. */
final readonly class TakeUpInput
{
    /** @param list<TakenUp> $taken */
    public function __construct(
        #[Assert\Valid]
        #[Assert\Count(min: 1, max: 12, minMessage: 'Nothing was taken up.', maxMessage: 'At most {{ limit }} numbers.')]
        public array $taken = [],
    ) {
    }
}
