<?php

declare(strict_types=1);

namespace Lustrum\Action\Files;

use League\Flysystem\FilesystemOperator;
use Lustrum\Facts\StoredFiles;
use Lustrum\Storage\Files;

/** Reads every file that the database names, from end to end, against its hash. */
final readonly class Checking
{
    private const DAY = 86_400;
    private const HELD_AS = ['photo' => 'the file of a build', 'heap_file' => 'the file of a heap', 'document' => 'the document'];

    public function __construct(
        private StoredFiles $named,
        private FilesystemOperator $files,
        private Files $kept,
    ) {
    }

    /**
     * @return iterable<string, string|null> where it lies => what is wrong with it, in a sentence; null: nothing is
     */
    public function all(): iterable
    {
        foreach ($this->named->all() as $file) {
            $what = $this->wrong($file['path'], $file['part'], $file['sha256']);
            yield $file['path'] => $what === null ? null : sprintf(
                '%s “%s” (%s) %s.', ucfirst(self::HELD_AS[$file['heldAs']] ?? 'the file'), $file['name'], $file['record'], $what,
            );
        }
    }

    /**
     * What lies in the store and is named by nobody: left by something that was refused or cut off. What is being taken in just
     * now has no record yet, so it is a day old at least.
     *
     * @return array{files: int, bytes: int}
     */
    public function unnamed(bool $remove): array
    {
        $named = [];
        foreach ($this->named->all() as $file) {
            $named[$file['path']] = true;
        }
        $files = $bytes = 0;
        foreach ($this->kept->lyingLongerThan(self::DAY) as $path => $size) {
            // A small picture stays as long as what it is of.
            if (!isset($named[$path]) && !isset($named[str_replace('-preview', '', $path)])) {
                ++$files;
                $bytes += $size;
                if ($remove) {
                    $this->kept->remove($path);
                }
            }
        }

        return ['files' => $files, 'bytes' => $bytes];
    }

    private function wrong(string $path, string $part, string $sha256): ?string
    {
        if (!$this->files->fileExists($path)) {
            // A worker makes a small picture that is not there yet.
            return $part === 'preview' ? null : 'is missing';
        }
        $stream = $this->files->readStream($path);
        try {
            if ($part === 'preview') {
                return str_starts_with((string) fread($stream, 3), "\xFF\xD8\xFF") ? null : 'has a small picture that is damaged';
            }
            $hash = hash_init('sha256');
            hash_update_stream($hash, $stream);

            return hash_equals($sha256, hash_final($hash)) ? null : 'is not what was kept: its content has another hash';
        } finally {
            fclose($stream);
        }
    }
}
