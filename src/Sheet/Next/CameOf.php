<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Next;

use Lustrum\Core\Change\ChangeVerdict;

/** What came of a change that was decided on here, on the build that carries it. */
final readonly class CameOf
{
    public function __construct(
        public string $what,
        public string $letter,
        public string $expected,
        public ChangeVerdict $verdict,
        public string $sentence,
    ) {
    }
}
