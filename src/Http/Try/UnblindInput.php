<?php

declare(strict_types=1);

namespace Lustrum\Http\Try;

/** Which version of the panel was looked at. */
final readonly class UnblindInput
{
    public function __construct(
        public int $version,
    ) {
    }
}
