<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Outing;

final readonly class OpenTrial
{
    public function __construct(
        public string $id,
        public string $name,
        public string $device,
        public string $letter,
    ) {
    }
}
