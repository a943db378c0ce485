<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

use Lustrum\Shared\Limit;
use Lustrum\Shared\UnitSymbol;
use Lustrum\Shared\Version;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class AmendReadingInput
{
    public function __construct(
        #[Assert\Length(max: 100, maxMessage: 'At most {{ limit }} characters.')]
        public string $text,
        #[Assert\NotBlank(message: 'Say why the value is amended. Both values stay.', normalizer: 'trim')]
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $reason,
        #[Version]
        public int $version,
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $confirmed = '',
        #[UnitSymbol]
        public string $unit = '',
    ) {
    }
}
