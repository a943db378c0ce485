<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

use Lustrum\Shared\Name;
use Lustrum\Shared\Note;

/** A named person agrees that a trial may be run, or starts it without safety limits, with a reason. */
final readonly class SignOff
{
    public function __construct(
        #[Name]
        public string $by,
        #[Note]
        public string $note = '',
    ) {
    }
}
