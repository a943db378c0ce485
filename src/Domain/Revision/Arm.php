<?php

declare(strict_types=1);

namespace Lustrum\Domain\Revision;

use Lustrum\Shared\Limit;
use Symfony\Component\Validator\Constraints as Assert;

/** A named variant inside one build: a combination of parameter values, which may be words. */
final readonly class Arm
{
    /**
     * @param list<ArmValue> $values
     * @param int            $planned    articles of it
     * @param string         $eliminated why it was taken out before it was tried; empty: it was not
     */
    public function __construct(
        #[Assert\NotBlank(message: 'This is still empty.', normalizer: 'trim')]
        #[Assert\Length(max: 40, maxMessage: 'At most {{ limit }} characters.')]
        public string $name,
        #[Assert\Valid]
        #[Assert\Count(max: 20, maxMessage: 'At most {{ limit }} values.')]
        public array $values = [],
        #[Assert\Range(notInRangeMessage: 'Between 0 and 1000.', min: 0, max: 1000)]
        public int $planned = 1,
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $eliminated = '',
    ) {
    }
}
