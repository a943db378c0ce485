<?php

declare(strict_types=1);

namespace Lustrum\Storage;

/** A document in the store, byte by byte as it came. */
final readonly class StoredDocument
{
    /** @param string $note what was seen in it that somebody should know; empty: nothing */
    public function __construct(
        public string $sha256,
        public int $bytes,
        public string $type,
        public Preview $preview = Preview::None,
        public string $note = '',
    ) {
    }
}
