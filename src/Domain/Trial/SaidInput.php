<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

use Lustrum\Shared\Limit;
use Symfony\Component\Validator\Constraints as Assert;

/** One line about a run, as somebody says it. */
final readonly class SaidInput
{
    public function __construct(
        #[Assert\NotBlank(message: 'This is still empty.', normalizer: 'trim')]
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $text,
    ) {
    }
}
