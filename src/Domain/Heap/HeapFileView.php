<?php

declare(strict_types=1);

namespace Lustrum\Domain\Heap;

use Lustrum\Domain\Finding\FileMark;
use Lustrum\Domain\Finding\FileState;
use Lustrum\Storage\FileKind;

final readonly class HeapFileView
{
    /**
     * @param string|null    $modified when it was written last, by the device that it came from
     * @param string         $lies     where it stays; empty: it is here
     * @param string|null    $takenAt  by the clock of what took it
     * @param float|null     $seconds  how long it plays
     * @param string         $plays    the same in words
     * @param string         $size     in words
     * @param string         $sha256   of what was sent, or stays
     * @param list<FileMark> $marks
     * @param string|null    $photo    what it was kept as; null: nothing yet
     */
    public function __construct(
        public string $id,
        public int $version,
        public string $workspace,
        public string $name,
        public string $camera,
        public string $zone,
        public ?string $modified,
        public string $lies,
        public FileKind $kind,
        public string $type,
        public FileState $state,
        public string $problem,
        public ?string $takenAt,
        public ?float $seconds,
        public string $plays,
        public int $bytes,
        public string $size,
        public int $width,
        public int $height,
        public string $sha256,
        public array $marks,
        public bool $aside,
        public ?string $photo,
        public string $by,
    ) {
    }
}
