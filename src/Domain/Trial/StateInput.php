<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

use Lustrum\Core\Run\ArticleState;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class StateInput
{
    /** @param string $state of what was tried: a mock-up, a model, the real thing */
    public function __construct(
        #[Assert\Choice(choices: ArticleState::ALL, message: 'One of the given choices is wanted here.')]
        public string $state,
    ) {
    }
}
