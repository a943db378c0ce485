<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Storage;

/** What the files of one device take, or of the heap. */
final readonly class StorageRow
{
    /**
     * @param int    $percent of all that is taken
     * @param string $of      how many of which kind, in words
     */
    public function __construct(
        public string $name,
        public string $size,
        public int $percent,
        public string $of,
    ) {
    }
}
