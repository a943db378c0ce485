<?php

declare(strict_types=1);

namespace Lustrum\Account;

final readonly class SignedInView
{
    /** @param bool $here is it the one that asks? */
    public function __construct(
        public string $id,
        public string $device,
        public string $since,
        public string $lastSeen,
        public bool $here,
    ) {
    }
}
