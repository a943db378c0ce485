<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Next;

final readonly class FailureChoice
{
    public function __construct(
        public string $id,
        public string $label,
    ) {
    }
}
