<?php

declare(strict_types=1);

namespace Lustrum\Account;

use Lustrum\Shared\Name;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class FirstAccountInput
{
    public function __construct(
        #[Name]
        public string $workspace,
        #[Name]
        public string $name,
        #[Assert\NotBlank(message: 'This is still empty.')]
        #[Assert\Email(message: 'This is not an e-mail address.')]
        #[Assert\Length(max: 180, maxMessage: 'At most {{ limit }} characters.')]
        public string $email,
        #[NewPassword]
        public string $password,
    ) {
    }
}
