<?php

declare(strict_types=1);

namespace Lustrum\Account;

final readonly class WorkspaceView
{
    public function __construct(
        public string $id,
        public string $name,
        public Role $role,
    ) {
    }
}
