<?php

declare(strict_types=1);

namespace Lustrum\Domain\Finding;

use Lustrum\Storage\FileKind;

final readonly class PhotoView
{
    /**
     * @param string      $type    as the content says: 'video/mp4'
     * @param string      $problem why it could not be prepared; empty where it could
     * @param string|null $takenAt by the clock of what took it
     * @param float|null  $seconds how long it plays
     * @param string      $plays   the same in words: '1:05'
     * @param string         $name  as it was called where it came from
     * @param string         $sha256 of what is kept, or of what stays where it lies; empty while it waits
     * @param string         $lies  where it stays; empty: it is here
     * @param list<FileMark> $marks
     * @param string|null    $reading whose display it shows
     */
    public function __construct(
        public string $id,
        public int $version,
        public string $revision,
        public ?string $run,
        public ?string $failure,
        public string $caption,
        public FileKind $kind,
        public string $type,
        public FileState $state,
        public string $problem,
        public ?string $takenAt,
        public ?float $seconds,
        public string $plays,
        public int $width,
        public int $height,
        public int $bytes,
        public string $sha256,
        public string $by,
        public string $at,
        public string $name,
        public string $lies,
        public array $marks,
        public ?string $reading,
    ) {
    }
}
