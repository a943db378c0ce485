<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Choice;

/** Something to pick from a list. */
final readonly class Pick
{
    /** @param string $now its present value, where it has one */
    public function __construct(
        public string $id,
        public string $label,
        public string $now = '',
    ) {
    }
}
