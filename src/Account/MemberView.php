<?php

declare(strict_types=1);

namespace Lustrum\Account;

final readonly class MemberView
{
    public function __construct(
        public string $id,
        public string $name,
        public string $email,
        public Role $role,
    ) {
    }
}
