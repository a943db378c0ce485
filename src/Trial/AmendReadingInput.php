<?php

declare(strict_types=1);

namespace Lustrum\Trial;

use Lustrum\Record\Limit;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class AmendReadingInput
{
    public function __construct(
        #[Assert\Length(max: 100, maxMessage: 'At most {{ limit }} characters.')]
        public string $text,
        #[Assert\NotBlank(message: 'Say why the value is amended. Both values stay.', normalizer: 'trim')]
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $reason,
        public int $version,
    ) {
    }
}
