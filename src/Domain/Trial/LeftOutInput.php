<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

use Lustrum\Core\Plan\LeftOut;
use Lustrum\Shared\Limit;
use Symfony\Component\Validator\Constraints as Assert;

/** A cell that is eliminated before it is tried. */
final readonly class LeftOutInput
{
    /** @param list<Found> $levels of the cell */
    public function __construct(
        #[Assert\Valid]
        #[Assert\Count(max: Limit::LIST, maxMessage: 'At most {{ limit }} levels.')]
        public array $levels,
        #[Assert\NotBlank(message: 'Why is it left out? It stays in every count.', normalizer: 'trim')]
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $reason,
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $arm = '',
    ) {
    }

    public function leftOut(): LeftOut
    {
        return new LeftOut(array_column($this->levels, 'text', 'name'), $this->arm, trim($this->reason));
    }
}
