<?php

declare(strict_types=1);

namespace Lustrum\Sheet\People;

use Lustrum\Account\MemberView;

/** Who is in a workspace. */
final readonly class PeopleSheet
{
    /** @param list<MemberView> $people in the order in which they were let in */
    public function __construct(
        public string $sentence,
        public array $people,
    ) {
    }
}
