<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

use Symfony\Component\Validator\Constraints as Assert;

final readonly class StateInput
{
    /** @param string $state of what was tried: a mock-up, a model, the real thing */
    public function __construct(
        #[Assert\Choice(choices: ['mockup', 'model', 'bare', 'finished', 'payload'], message: 'One of the given choices is wanted here.')]
        public string $state,
    ) {
    }
}
