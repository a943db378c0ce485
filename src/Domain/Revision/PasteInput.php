<?php

declare(strict_types=1);

namespace Lustrum\Domain\Revision;

use Symfony\Component\Validator\Constraints as Assert;

final readonly class PasteInput
{
    /** @param bool $keep false: it is only said what would come of it */
    public function __construct(
        #[Assert\NotBlank(message: 'Nothing was pasted.', normalizer: 'trim')]
        #[Assert\Length(max: 200000, maxMessage: 'At most {{ limit }} characters.')]
        public string $text = '',
        public bool $keep = false,
    ) {
    }
}
