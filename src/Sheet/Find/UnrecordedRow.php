<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Find;

use Lustrum\Core\Failure\Unrecorded;
use Lustrum\Core\Wording\FailureWords;

/** What failed without a failure that says how. */
final readonly class UnrecordedRow
{
    /** @param string|null $run the newest of them; null: it was no run */
    private function __construct(
        public string $sentence,
        public ?string $run,
    ) {
    }

    public static function of(Unrecorded $u): self
    {
        return new self(FailureWords::unrecorded($u), $u->first === '' ? null : $u->first);
    }
}
