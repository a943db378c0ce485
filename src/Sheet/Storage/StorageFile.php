<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Storage;

final readonly class StorageFile
{
    /** @param string $where device and build, or the heap, in words */
    public function __construct(
        public string $id,
        public string $name,
        public string $where,
        public string $size,
    ) {
    }
}
