<?php

declare(strict_types=1);

namespace Lustrum\Sheet\You;

use Lustrum\Account\SignedInView;

/** A place where one is signed in. */
final readonly class SignedInRow
{
    public function __construct(
        public SignedInView $place,
        public string $what,
        public string $ends,
    ) {
    }
}
