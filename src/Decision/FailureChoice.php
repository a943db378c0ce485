<?php

declare(strict_types=1);

namespace Lustrum\Decision;

final readonly class FailureChoice
{
    public function __construct(
        public string $id,
        public string $label,
    ) {
    }
}
