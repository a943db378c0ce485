<?php

declare(strict_types=1);

namespace Lustrum\Account;

use Symfony\Component\Validator\Constraints as Assert;

final readonly class ChangePasswordInput
{
    public function __construct(
        #[Assert\NotBlank(message: 'Your present password is wanted too.')]
        #[Assert\Length(max: 4096, maxMessage: 'At most {{ limit }} characters.')]
        public string $present,
        #[NewPassword]
        public string $new,
    ) {
    }
}
