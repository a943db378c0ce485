<?php

declare(strict_types=1);

namespace Lustrum\Http\Try;

use Lustrum\Shared\Limit;
use Symfony\Component\Validator\Constraints as Assert;

/** Why a lead must know which code is which before a panel is unblinded. */
final readonly class OpenPanelInput
{
    public function __construct(
        #[Assert\NotBlank(normalizer: 'trim', message: 'Say why you must know. It stays said beside the result.')]
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $because,
    ) {
    }
}
