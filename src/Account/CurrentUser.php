<?php

declare(strict_types=1);

namespace Lustrum\Account;

use Symfony\Bundle\SecurityBundle\Security;

/** Who is writing. */
final readonly class CurrentUser
{
    public function __construct(
        private Security $security,
    ) {
    }

    public function user(): ?User
    {
        $user = $this->security->getUser();

        return $user instanceof User ? $user : null;
    }

    /** As it stands beside what was written; Lustrum itself where nobody is signed in, as in a command. */
    public function name(): string
    {
        return $this->user()?->name() ?? 'Lustrum';
    }
}
