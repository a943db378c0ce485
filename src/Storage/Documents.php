<?php

declare(strict_types=1);

namespace Lustrum\Storage;

use League\Flysystem\FilesystemOperator;
use Lustrum\Shared\Refusal\Invalid;
use Lustrum\Shared\Refusal\Refusal;
use Lustrum\Shared\Refusal\TooLarge;
use Lustrum\Shared\Refusal\WrongKind;

/**
 * Takes in what a build is made from: drawings, models, sources, data sheets. Each is kept byte by byte, since its hash is
 * what tells two of them apart, and given out only to be saved. What is shown of it is a picture made here.
 */
final readonly class Documents
{
    public const MOST_BYTES = 50_000_000;

    /** What runs where it is opened, and is no drawing. */
    private const PROGRAMS = '/^(text\/html|application\/xhtml\+xml|application\/x-(dosexec|executable|sharedlib|mach-binary|msdownload)'
        .'|application\/vnd\.microsoft\.portable-executable)$/';
    private const SCRIPTS = '/^(text\/(x-php|x-shellscript|javascript|x-python|x-perl|x-ruby)|application\/(javascript|x-httpd-php))$/';

    public function __construct(
        private FilesystemOperator $files,
        private Files $kept,
        private Pictures $pictures,
        private Recordings $recordings,
        private Decoding $decoding,
    ) {
    }

    /**
     * @param string $name     as it was called where it came from
     * @param bool   $isSource a source may be a script
     *
     * @throws Refusal when a limit is passed, or it is something else than it is said to be
     */
    public function take(string $path, string $name, bool $isSource): StoredDocument
    {
        $bytes = (int) @filesize($path);
        if ($bytes > self::MOST_BYTES) {
            throw TooLarge::file('document', $bytes, self::MOST_BYTES);
        }
        if ($bytes === 0) {
            throw Invalid::at('file', 'This file is empty.');
        }
        $type = Files::sniff($path);
        if (preg_match(self::PROGRAMS, $type) === 1 || (!$isSource && preg_match(self::SCRIPTS, $type) === 1)) {
            throw WrongKind::program($name);
        }
        $sha256 = Files::sha256($path);
        $this->kept->write(Files::path($sha256, false), $path);
        [$preview, $note] = $this->preview($path, $sha256, $type, $name);

        return new StoredDocument($sha256, $bytes, $type, $preview, $note);
    }

    /** @return array{Preview, string} how it can be seen, and what was seen in it */
    private function preview(string $path, string $sha256, string $type, string $name): array
    {
        return match (true) {
            $type === 'application/pdf' => [Preview::Pages, ''],
            $type === 'image/svg+xml' => $this->drawing($path, $sha256),
            FileKind::ofType($type) === FileKind::Picture => $this->picture($path, $sha256),
            strtolower(pathinfo($name, \PATHINFO_EXTENSION)) === 'stl' => [Preview::Model, ''],
            default => [Preview::None, ''],
        };
    }

    /** @return array{Preview, string} */
    private function picture(string $path, string $sha256): array
    {
        try {
            $this->pictures->check($path);
            $made = $this->decoding->inTurn(fn (): array => $this->pictures->prepare($path));
        } catch (Refusal) {
            return [Preview::None, 'No picture could be made of it. The file is kept as it is.'];
        }
        $this->files->write(Files::path($sha256, true), $made[1]);

        return [Preview::Picture, ''];
    }

    /**
     * What stands in a drawing is drawn here once, and only the picture is shown: nothing of it runs anywhere.
     *
     * @return array{Preview, string}
     */
    private function drawing(string $path, string $sha256): array
    {
        $hasScript = preg_match('/<\s*script\b|\son[a-z]+\s*=|javascript:/i', (string) file_get_contents($path)) === 1;
        $note = $hasScript ? 'This drawing carries a script. It is shown as a picture, where nothing runs.' : '';
        try {
            $drawn = $this->decoding->inTurn(fn (): string => $this->recordings->draw($path));
        } catch (Refusal) {
            return [Preview::None, trim('No picture could be made of it. The file is kept as it is. '.$note)];
        }
        try {
            [$preview] = $this->picture($drawn, $sha256);
        } finally {
            @unlink($drawn);
        }

        return [$preview, $note];
    }
}
