<?php

declare(strict_types=1);

namespace Lustrum\Domain\Method;

use Lustrum\Core\Run\LookOut;
use Lustrum\Shared\Limit;
use Lustrum\Shared\Name;
use Symfony\Component\Validator\Constraints as Assert;

/** When to look at something during a run, as it is typed. */
final readonly class LookOutInput
{
    /**
     * @param float|null $every in minutes
     * @param float|null $after once, in minutes after the run began
     * @param string     $at    a milestone in words
     */
    public function __construct(
        #[Name]
        public string $what,
        #[Assert\Positive(message: 'Minutes above nought.')]
        #[Assert\LessThanOrEqual(1e5, message: 'At most 100,000 minutes.')]
        public ?float $every = null,
        #[Assert\Range(notInRangeMessage: 'Between 0 and 100,000 minutes.', min: 0, max: 1e5)]
        public ?float $after = null,
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $at = '',
    ) {
    }

    public function lookOut(): LookOut
    {
        return new LookOut(trim($this->what), $this->every, $this->after, trim($this->at));
    }
}
