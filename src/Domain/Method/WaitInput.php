<?php

declare(strict_types=1);

namespace Lustrum\Domain\Method;

use Lustrum\Core\Run\Wait;
use Lustrum\Shared\Name;
use Symfony\Component\Validator\Constraints as Assert;

/** When a run may begin, as it is typed. */
final readonly class WaitInput
{
    /** @param float|null $minutes after the run before on the same article; null: until somebody says so */
    public function __construct(
        #[Name]
        public string $what,
        #[Assert\Range(notInRangeMessage: 'Between 0 and 100,000 minutes.', min: 0, max: 1e5)]
        public ?float $minutes = null,
    ) {
    }

    public function wait(): Wait
    {
        return new Wait(trim($this->what), $this->minutes);
    }
}
