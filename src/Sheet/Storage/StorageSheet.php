<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Storage;

/** What takes up the storage of a workspace. */
final readonly class StorageSheet
{
    /**
     * @param int               $percent of what it may take that is taken
     * @param list<StorageRow>  $devices the one that takes most first
     * @param list<StorageFile> $largest the largest files
     */
    public function __construct(
        public string $sentence,
        public int $percent,
        public array $devices,
        public array $largest,
    ) {
    }
}
