<?php

declare(strict_types=1);

namespace Lustrum\Domain\Finding;

final readonly class PhotoView
{
    public function __construct(
        public string $id,
        public int $version,
        public string $revision,
        public ?string $run,
        public ?string $failure,
        public string $caption,
        public int $width,
        public int $height,
        public int $bytes,
        public string $sha256,
        public string $by,
        public string $at,
    ) {
    }
}
