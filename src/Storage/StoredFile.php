<?php

declare(strict_types=1);

namespace Lustrum\Storage;

/** A file in the store: prepared for showing, or as it came and waiting for that. */
final readonly class StoredFile
{
    /**
     * @param string      $sha256  of what is kept; empty while it waits
     * @param string      $source  SHA-256 of what was sent
     * @param string      $type    as the content says
     * @param string|null $takenAt when it was taken by the camera's own clock, as 2026-03-02T14:05:11, with an offset where known
     * @param float|null  $seconds how long it plays
     */
    public function __construct(
        public string $sha256,
        public int $width,
        public int $height,
        public int $bytes,
        public FileKind $kind = FileKind::Picture,
        public string $type = 'image/jpeg',
        public ?string $takenAt = null,
        public ?float $seconds = null,
        public string $source = '',
    ) {
    }

    public function isPicture(): bool
    {
        return $this->kind === FileKind::Picture;
    }

    public function waits(): bool
    {
        return $this->sha256 === '';
    }
}
