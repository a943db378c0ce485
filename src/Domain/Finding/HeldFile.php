<?php

declare(strict_types=1);

namespace Lustrum\Domain\Finding;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use Lustrum\Storage\FileKind;
use Lustrum\Storage\StoredFile;

/** What a record knows of the file that it holds: the file itself lies in the store, or stays where it lies. */
trait HeldFile
{
    #[ORM\Column(length: 64)]
    private string $sha256 = '';

    #[ORM\Column]
    private int $width = 0;

    #[ORM\Column]
    private int $height = 0;

    #[ORM\Column(type: Types::BIGINT)]
    private int $bytes = 0;

    #[ORM\Column(length: 10)]
    private FileKind $kind = FileKind::Picture;

    /** As the content says: 'video/mp4'. */
    #[ORM\Column(length: 80)]
    private string $type = 'image/jpeg';

    #[ORM\Column(length: 8)]
    private FileState $state = FileState::Ready;

    /** Why it could not be prepared, in a sentence. */
    #[ORM\Column(length: 300)]
    private string $problem = '';

    /** By the clock of what took it, with its offset where that is known: no moment, but what the camera said. */
    #[ORM\Column(length: 40, nullable: true)]
    private ?string $takenAt = null;

    #[ORM\Column(nullable: true)]
    private ?float $seconds = null;

    /** SHA-256 of what was sent: the same file sent again is known by it. */
    #[ORM\Column(length: 64)]
    private string $source = '';

    /** Where it stays; empty: it is here. */
    #[ORM\Column(length: 300)]
    private string $lies = '';

    /** As it was called where it came from. */
    #[ORM\Column(length: 120)]
    private string $name = '';

    /** @var list<FileMark> */
    #[ORM\Column(type: FileMarksType::NAME)]
    private array $marks = [];

    public function is(StoredFile $file): void
    {
        [$this->sha256, $this->width, $this->height, $this->bytes] = [$file->sha256, $file->width, $file->height, $file->bytes];
        [$this->kind, $this->type, $this->seconds] = [$file->kind, $file->type, $file->seconds];
        // A device file says of its own pictures when they were taken, which are stripped by then.
        $this->takenAt = $file->takenAt ?? $this->takenAt;
        $this->source = $file->source;
        $this->state = $this->lies !== '' ? FileState::Away : ($file->waits() ? FileState::Waiting : FileState::Ready);
    }

    public function isBroken(string $why): void
    {
        $this->state = FileState::Broken;
        $this->problem = mb_substr($why, 0, 300);
    }

    public function isWaiting(): bool
    {
        return $this->state === FileState::Waiting;
    }

    public function isReady(): bool
    {
        return $this->state === FileState::Ready;
    }

    public function source(): string
    {
        return $this->source;
    }

    public function type(): string
    {
        return $this->type;
    }

    public function kind(): FileKind
    {
        return $this->kind;
    }

    public function sha256(): string
    {
        return $this->sha256;
    }
}
