<?php

declare(strict_types=1);

namespace Lustrum\Domain\Revision;

use Lustrum\Shared\Limit;
use Symfony\Component\Validator\Constraints as Assert;

/** What was changed on an article between two runs, in one line. */
final readonly class ChangedInput
{
    public function __construct(
        #[Assert\NotBlank(message: 'This is still empty.', normalizer: 'trim')]
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $text,
    ) {
    }
}
