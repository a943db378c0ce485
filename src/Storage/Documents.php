<?php

declare(strict_types=1);

namespace Lustrum\Storage;

use Lustrum\Shared\Refusal\Invalid;
use Lustrum\Shared\Refusal\Refusal;
use Lustrum\Shared\Refusal\TooLarge;
use Lustrum\Shared\Refusal\WrongKind;

/**
 * Takes in what a build is made from: drawings, models, sources, data sheets. Each is kept byte by byte, since its hash is
 * what tells two of them apart, and given out only to be saved. What is shown of it is a picture made by a worker.
 */
final readonly class Documents
{
    public const MOST_BYTES = 50_000_000;

    /** What runs where it is opened, and is no drawing. */
    private const PROGRAMS = '/^(text\/html|application\/xhtml\+xml|application\/x-(dosexec|executable|sharedlib|mach-binary|msdownload)'
        .'|application\/vnd\.microsoft\.portable-executable)$/';
    private const SCRIPTS = '/^(text\/(x-php|x-shellscript|javascript|x-python|x-perl|x-ruby)|application\/(javascript|x-httpd-php))$/';
    private const DRAWING = 'image/svg+xml';
    private const NO_PICTURE = 'No picture is shown of it. The file is kept as it is.';

    public function __construct(
        private Files $kept,
        private Pictures $pictures,
        private Drawings $drawings,
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
        $this->kept->keep(Files::path($sha256, false), $path);

        return new StoredDocument($sha256, $bytes, $type, match (true) {
            $type === 'application/pdf' => Preview::Pages,
            $type === self::DRAWING, FileKind::ofType($type) === FileKind::Picture => Preview::Waiting,
            strtolower(pathinfo($name, \PATHINFO_EXTENSION)) === 'stl' => Preview::Model,
            default => Preview::None,
        });
    }

    /**
     * How it can be seen, once a picture of it is made, and what was seen in it. For workers.
     *
     * @return array{Preview, string}
     */
    public function show(string $sha256, string $type): array
    {
        $path = $this->kept->local(Files::path($sha256, false));
        $made = '';
        try {
            if ($type === self::DRAWING) {
                [$made, $note] = $this->drawings->draw($path);
            } else {
                $this->pictures->check($path);
                [$made, $note] = [$this->pictures->prepare($path, true)['preview'], ''];
            }
            $this->kept->keep(Files::path($sha256, true), $made);

            return [Preview::Picture, $note];
        } catch (Refusal $e) {
            return [Preview::None, trim($e->getMessage().' '.self::NO_PICTURE)];
        } finally {
            @unlink($path);
            @unlink($made);
        }
    }
}
