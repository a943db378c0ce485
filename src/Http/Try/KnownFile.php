<?php

declare(strict_types=1);

namespace Lustrum\Http\Try;

/** A file that is here already, and where. */
final readonly class KnownFile
{
    public function __construct(
        public string $sha256,
        public string $where,
    ) {
    }
}
