<?php

declare(strict_types=1);

namespace Lustrum\Domain\Finding;

use Lustrum\Core\Belief\Weight;
use Lustrum\Shared\Identifier;
use Lustrum\Shared\Limit;
use Symfony\Component\Validator\Constraints as Assert;

/** A finding that bears on an assumption: a run, a failure, or what somebody found in their own words. */
final readonly class AssumptionFinding
{
    public function __construct(
        public Weight $says,
        #[Identifier]
        public ?string $run = null,
        #[Identifier]
        public ?string $failure = null,
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $note = '',
    ) {
    }

    public function isEmpty(): bool
    {
        return $this->run === null && $this->failure === null && trim($this->note) === '';
    }
}
