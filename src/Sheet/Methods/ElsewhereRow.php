<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Methods;

/** A method of another device, that can be used here. */
final readonly class ElsewhereRow
{
    public function __construct(
        public string $id,
        public string $name,
        public string $purpose,
        public string $device,
    ) {
    }
}
