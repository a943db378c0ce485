<?php

declare(strict_types=1);

namespace Lustrum\Sheet\You;

/** One's own account: who one is, and where one is signed in. */
final readonly class YouSheet
{
    /**
     * @param string|null       $passwordChangedAt null: it is still the first one
     * @param list<SignedInRow> $places            the last used first
     */
    public function __construct(
        public string $sentence,
        public string $name,
        public string $email,
        public ?string $passwordChangedAt,
        public array $places,
    ) {
    }
}
