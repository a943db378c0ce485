<?php

declare(strict_types=1);

namespace Lustrum\Storage;

/** A picture in the file store, after re-encoding. */
final readonly class StoredPicture
{
    public function __construct(
        public string $sha256,
        public int $width,
        public int $height,
        public int $bytes,
    ) {
    }
}
