<?php

declare(strict_types=1);

namespace Lustrum\Record;

use Lustrum\Shared\Limit;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class WithdrawInput
{
    public function __construct(
        #[Assert\NotBlank(normalizer: 'trim', message: 'Say why it is withdrawn. It stays readable, with your reason.')]
        #[Assert\Length(max: Limit::NOTE, maxMessage: 'At most {{ limit }} characters.')]
        public string $because,
    ) {
    }
}
