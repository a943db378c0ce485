<?php

declare(strict_types=1);

namespace Lustrum\Storage;

use League\Flysystem\FilesystemOperator;
use Lustrum\Shared\Refusal\Invalid;
use Lustrum\Shared\Refusal\NotThere;
use Lustrum\Shared\Refusal\Refusal;
use Lustrum\Shared\Refusal\TooLarge;
use Lustrum\Shared\Refusal\WrongKind;

/**
 * Takes in files and gives them out. What is kept lies under the SHA-256 of its content, with a preview beside it where
 * there is something to see; what waits to be prepared lies under a key of its record's.
 */
final readonly class Files
{
    private const TAKEN = 'a JPEG, PNG, WebP or GIF picture, a sound (MP3, M4A, Ogg, WAV), a clip (MP4, MOV, WebM) or a document (PDF, text, CSV)';

    public function __construct(
        private FilesystemOperator $files,
        private Pictures $pictures,
        private Recordings $recordings,
        private Decoding $decoding,
    ) {
    }

    /** What its content says that a file is; its name is not asked. */
    public static function sniff(string $path): string
    {
        return (string) (new \finfo(\FILEINFO_MIME_TYPE))->file($path);
    }

    /**
     * Takes a file in: prepared at once where that is quick and a place is free, else as it is, to wait its turn.
     *
     * @param string $key    under which it waits
     * @param string $source SHA-256 of it
     *
     * @throws Refusal when it is no file of a known kind, or a limit is passed
     */
    public function take(string $path, string $key, string $source): StoredFile
    {
        [$kind, $type] = $this->check($path);
        if (!$kind->takesLong()) {
            $done = $kind->isPrepared() ? $this->decoding->now(
                fn (): StoredFile => $this->prepared($path, $kind, $type, $source),
            ) : $this->asItIs($path, $kind, $type, $source);
            if ($done !== null) {
                return $done;
            }
        }
        $this->drop($key);
        $this->write(self::waiting($key), $path);

        return new StoredFile('', 0, 0, (int) filesize($path), $kind, $type, null, null, $source);
    }

    /**
     * Takes a file in and waits until it is prepared.
     *
     * @throws Refusal
     */
    public function takeWhole(string $path): StoredFile
    {
        [$kind, $type] = $this->check($path);
        $source = self::sha256($path);
        if (!$kind->isPrepared()) {
            return $this->asItIs($path, $kind, $type, $source);
        }

        return $this->decoding->inTurn(fn (): StoredFile => $this->prepared($path, $kind, $type, $source));
    }

    /**
     * Prepares what waits.
     *
     * @throws Refusal where it cannot be: what was sent is at fault
     */
    public function finish(string $key): StoredFile
    {
        $path = $this->local(self::waiting($key));
        try {
            return $this->takeWhole($path);
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

    private function asItIs(string $path, FileKind $kind, string $type, string $source): StoredFile
    {
        $this->write(self::path($source, false), $path);

        return new StoredFile($source, 0, 0, (int) filesize($path), $kind, $type, null, null, $source);
    }

    private function prepared(string $path, FileKind $kind, string $type, string $source): StoredFile
    {
        return $kind === FileKind::Picture ? $this->picture($path, $source) : $this->recording($path, $kind, $type, $source);
    }

    private function picture(string $path, string $source): StoredFile
    {
        $takenAt = $this->pictures->takenAt($path);
        [$kept, $preview, $width, $height] = $this->pictures->prepare($path);
        $sha256 = hash('sha256', $kept);
        if (!$this->files->fileExists(self::path($sha256, false))) {
            $this->files->write(self::path($sha256, true), $preview);
            $this->files->write(self::path($sha256, false), $kept);
        }

        return new StoredFile($sha256, $width, $height, strlen($kept), FileKind::Picture, 'image/jpeg', $takenAt, null, $source);
    }

    private function recording(string $path, FileKind $kind, string $type, string $source): StoredFile
    {
        $made = [];
        try {
            ['width' => $width, 'height' => $height, 'seconds' => $seconds, 'takenAt' => $takenAt] = $this->recordings->look($path);
            if ($kind === FileKind::Clip && $width === 0) {
                // A recorder wrote sound into a container for clips.
                [$kind, $type] = [FileKind::Sound, $type === 'video/webm' ? 'audio/webm' : 'audio/mp4'];
            }
            $made[] = $kept = $this->recordings->strip($path, $kind, FileKind::ending($type));
            $sha256 = self::sha256($kept);
            if ($kind === FileKind::Clip) {
                $made[] = $still = $this->recordings->still($path, $seconds);
                $this->write(self::path($sha256, true), $still);
            }
            $this->write(self::path($sha256, false), $kept);

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

    /** Keeps a file as it is, where nothing lies there yet. */
    public function write(string $to, string $path): void
    {
        if ($this->files->fileExists($to)) {
            return;
        }
        $stream = fopen($path, 'r') ?: throw Invalid::at('file', 'This file could not be read.');
        try {
            $this->files->writeStream($to, $stream);
        } finally {
            if (is_resource($stream)) {
                fclose($stream);
            }
        }
    }

    /** A copy on this machine: the decoders want a file. */
    private function local(string $from): string
    {
        if (!$this->files->fileExists($from)) {
            throw NotThere::picture();
        }
        $path = (string) tempnam(sys_get_temp_dir(), 'lustrum');
        file_put_contents($path, $this->files->readStream($from));

        return $path;
    }

    private static function waiting(string $key): string
    {
        return 'waiting/'.$key;
    }

    public static function path(string $sha256, bool $preview): string
    {
        // All of them end alike: what a file is, its record says.
        return sprintf('%s/%s/%s%s.jpg', substr($sha256, 0, 2), substr($sha256, 2, 2), $sha256, $preview ? '-preview' : '');
    }
}
