<?php

declare(strict_types=1);

namespace Lustrum\Http\Try;

/** How many files were put aside. */
final readonly class PutAside
{
    public function __construct(
        public int $files,
    ) {
    }
}
