<?php

declare(strict_types=1);

namespace Lustrum\Http\Try;

/** Files that are here already. */
final readonly class KnownFiles
{
    /** @param list<KnownFile> $files */
    public function __construct(
        public array $files,
    ) {
    }
}
