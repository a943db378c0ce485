<?php

declare(strict_types=1);

namespace Lustrum\Account;

use Lustrum\Shared\Name;
use Symfony\Component\Validator\Constraints as Assert;

/** A person to be let in, or whose role is to change. A password is only wanted for somebody who has no account. */
final readonly class MemberInput
{
    public function __construct(
        #[Name]
        public string $name,
        #[Assert\NotBlank(message: 'This is still empty.')]
        #[Assert\Email(message: 'This is not an e-mail address.')]
        #[Assert\Length(max: 180, maxMessage: 'At most {{ limit }} characters.')]
        public string $email,
        public Role $role,
        #[NewPassword]
        public ?string $password = null,
    ) {
    }
}
