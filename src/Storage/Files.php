<?php

declare(strict_types=1);

namespace Lustrum\Storage;

use League\Flysystem\FileAttributes;
use League\Flysystem\FilesystemOperator;
use League\Flysystem\StorageAttributes;
use Lustrum\Shared\Refusal\Invalid;
use Lustrum\Shared\Refusal\NotThere;
use Lustrum\Shared\Refusal\Refusal;
use Lustrum\Shared\Refusal\TooLarge;
use Lustrum\Shared\Refusal\WrongKind;
use Symfony\Component\Uid\Uuid;

/**
 * Takes in files and gives them out. What is kept lies under the SHA-256 of its content, with a preview beside it where
 * there is something to see; what waits to be prepared lies under a key of its record's. A file appears at its place whole
 * or not at all.
 */
final readonly class Files
{
    private const TAKEN = 'a JPEG, PNG, WebP or GIF picture, a sound (MP3, M4A, Ogg, WAV), a clip (MP4, MOV, WebM) or a document (PDF, text, CSV)';
    private const WAITING = 'waiting/';
    private const COMING = 'coming/';

    public function __construct(
        private FilesystemOperator $files,
        private Pictures $pictures,
        private Recordings $recordings,
    ) {
    }

    /** What its content says that a file is; its name is not asked. */
    public static function sniff(string $path): string
    {
        return (string) (new \finfo(\FILEINFO_MIME_TYPE))->file($path);
    }

    /**
     * Takes a file in: nothing is decoded here. A document, and a picture that carries nothing but itself, is there at once;
     * the rest waits its turn.
     *
     * @param string $key    under which it waits
     * @param string $source SHA-256 of it
     *
     * @throws Refusal when it is no file of a known kind, or a limit is passed
     */
    public function take(string $path, string $key, string $source): StoredFile
    {
        [$kind, $type] = $this->check($path);
        $size = match ($kind) {
            FileKind::Document => [0, 0],
            FileKind::Picture => $this->pictures->clean($path),
            FileKind::Sound, FileKind::Clip => null,
        };
        if ($size !== null) {
            $this->keep(self::path($source, false), $path);

            return new StoredFile($source, $size[0], $size[1], (int) filesize($path), $kind, $type, null, null, $source);
        }
        $this->drop($key);
        $this->keep(self::waiting($key), $path);

        return new StoredFile('', 0, 0, (int) filesize($path), $kind, $type, null, null, $source);
    }

    /**
     * Prepares what waits. For workers.
     *
     * @throws Refusal where it cannot be: what was sent is at fault
     */
    public function finish(string $key): StoredFile
    {
        $path = $this->local(self::waiting($key));
        try {
            [$kind, $type] = $this->check($path);
            $source = self::sha256($path);

            return $kind === FileKind::Picture ? $this->picture($path, $source) : $this->recording($path, $kind, $type, $source);
        } finally {
            @unlink($path);
        }
    }

    /**
     * Makes the small picture of one that is kept as it came. For workers.
     *
     * @throws Refusal where it is no picture after all
     */
    public function makePreview(string $sha256): void
    {
        $path = $this->local(self::path($sha256, false));
        try {
            ['preview' => $preview] = $this->pictures->prepare($path, true);
            $this->keep(self::path($sha256, true), $preview);
            @unlink($preview);
        } finally {
            @unlink($path);
        }
    }

    /** Gives up what waits. */
    public function drop(string $key): void
    {
        if ($this->files->fileExists(self::waiting($key))) {
            $this->files->delete(self::waiting($key));
        }
    }

    /**
     * @param int $seconds
     *
     * @return list<string> keys of what has been waiting for longer
     */
    public function waitingLongerThan(int $seconds): array
    {
        $old = time() - $seconds;
        $keys = [];
        foreach ($this->files->listContents(self::WAITING) as $one) {
            if ($one instanceof StorageAttributes && $one->isFile() && ($one->lastModified() ?? $old) < $old) {
                $keys[] = basename($one->path());
            }
        }

        return $keys;
    }

    /**
     * @param int $seconds
     *
     * @return iterable<string, int> where what has lain for longer lies => bytes; but for what waits
     */
    public function lyingLongerThan(int $seconds): iterable
    {
        $old = time() - $seconds;
        foreach ($this->files->listContents('', true) as $one) {
            if ($one instanceof FileAttributes && ($one->lastModified() ?? $old) < $old && !str_starts_with($one->path(), self::WAITING)) {
                yield $one->path() => $one->fileSize() ?? 0;
            }
        }
    }

    public function remove(string $path): void
    {
        $this->files->delete($path);
    }

    /** @return resource */
    public function open(string $sha256, bool $preview = false)
    {
        return $this->files->readStream(self::path($sha256, $preview));
    }

    public function bytes(string $sha256, bool $preview = false): int
    {
        return $this->files->fileSize(self::path($sha256, $preview));
    }

    public function has(string $sha256, bool $preview = false): bool
    {
        return preg_match('/^[0-9a-f]{64}$/', $sha256) === 1 && $this->files->fileExists(self::path($sha256, $preview));
    }

    public static function sha256(string $path): string
    {
        return (string) hash_file('sha256', $path);
    }

    /**
     * Keeps a file as it is, where nothing lies there yet: beside first, then moved, so that nobody ever finds half of it,
     * not even after a cut.
     */
    public function keep(string $to, string $path): void
    {
        if ($this->files->fileExists($to)) {
            return;
        }
        $stream = fopen($path, 'r') ?: throw Invalid::at('file', 'This file could not be read.');
        $coming = self::COMING.Uuid::v4()->toRfc4122();
        try {
            $this->files->writeStream($coming, $stream);
            $this->files->move($coming, $to);
        } finally {
            if (is_resource($stream)) {
                fclose($stream);
            }
        }
    }

    /** A copy on this machine: the decoders want a file. */
    public function local(string $from): string
    {
        if (!$this->files->fileExists($from)) {
            throw NotThere::picture();
        }
        $path = (string) tempnam(sys_get_temp_dir(), 'lustrum');
        file_put_contents($path, $this->files->readStream($from));

        return $path;
    }

    /** Where what waits under a key lies. */
    public static function waiting(string $key): string
    {
        return self::WAITING.$key;
    }

    public static function path(string $sha256, bool $preview): string
    {
        // All of them end alike: what a file is, its record says.
        return sprintf('%s/%s/%s%s.jpg', substr($sha256, 0, 2), substr($sha256, 2, 2), $sha256, $preview ? '-preview' : '');
    }

    /** @return array{FileKind, string} kind and type */
    private function check(string $path): array
    {
        $type = self::sniff($path);
        $kind = FileKind::ofType($type) ?? throw WrongKind::file(self::TAKEN);
        $bytes = (int) @filesize($path);
        if ($bytes > $kind->mostBytes()) {
            throw TooLarge::file($kind->value, $bytes, $kind->mostBytes());
        }
        if ($kind === FileKind::Picture) {
            $this->pictures->check($path);
        }

        return [$kind, $type];
    }

    private function picture(string $path, string $source): StoredFile
    {
        $made = $this->pictures->prepare($path);
        try {
            $sha256 = self::sha256($made['kept']);
            $this->keep(self::path($sha256, true), $made['preview']);
            $this->keep(self::path($sha256, false), $made['kept']);
            $bytes = (int) filesize($made['kept']);

            return new StoredFile(
                $sha256, $made['width'], $made['height'], $bytes, FileKind::Picture, 'image/jpeg', $made['takenAt'], null, $source,
            );
        } finally {
            @unlink($made['kept']);
            @unlink($made['preview']);
        }
    }

    private function recording(string $path, FileKind $kind, string $type, string $source): StoredFile
    {
        $made = [];
        $ending = FileKind::ending($type);
        try {
            ['width' => $width, 'height' => $height, 'seconds' => $seconds, 'takenAt' => $takenAt] = $this->recordings->look($path, $ending);
            if ($kind === FileKind::Clip && $width === 0) {
                // A recorder wrote sound into a container for clips.
                [$kind, $type] = [FileKind::Sound, $type === 'video/webm' ? 'audio/webm' : 'audio/mp4'];
                $ending = FileKind::ending($type);
            }
            $made[] = $kept = $this->recordings->strip($path, $kind, $ending);
            $sha256 = self::sha256($kept);
            if ($kind === FileKind::Clip) {
                $made[] = $still = $this->recordings->still($path, $seconds, $ending);
                $this->keep(self::path($sha256, true), $still);
            }
            $this->keep(self::path($sha256, false), $kept);

            return new StoredFile($sha256, $width, $height, (int) filesize($kept), $kind, self::shown($type), $takenAt, $seconds, $source);
        } finally {
            array_map(static fn (string $file): bool => @unlink($file), $made);
        }
    }

    /** The type under which a browser plays it: a container that was written anew is what it was written as. */
    private static function shown(string $type): string
    {
        return match ($type) {
            'video/quicktime', 'video/3gpp', 'video/x-m4v' => 'video/mp4',
            'audio/x-m4a' => 'audio/mp4',
            'application/ogg' => 'audio/ogg',
            'audio/x-wav' => 'audio/wav',
            default => $type,
        };
    }
}
