<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Brief;

use Lustrum\Domain\Device\PersonView;

/** Somebody who is around, and what they did. */
final readonly class PersonRow
{
    public function __construct(
        public PersonView $person,
        public string $did,
    ) {
    }
}
