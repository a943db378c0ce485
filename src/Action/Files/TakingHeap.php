<?php

declare(strict_types=1);

namespace Lustrum\Action\Files;

use Doctrine\ORM\EntityManagerInterface;
use Lustrum\Domain\Heap\HeapFile;
use Lustrum\Domain\Heap\HeapFileInput;
use Lustrum\Facts\HeapFacts;
use Lustrum\Record\Inputs;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
use Lustrum\Record\RecordWriter;
use Lustrum\Record\Writing;
use Lustrum\Record\Written;
use Lustrum\Shared\Refusal\Invalid;
use Lustrum\Shared\Refusal\Refusal;
use Lustrum\Shared\Refusal\Taken;
use Lustrum\Shared\Refusal\WrongKind;
use Lustrum\Storage\FileKind;
use Lustrum\Storage\Files;
use Symfony\Component\Uid\Uuid;

/** Takes in what is dropped in a heap: once each, however often it is dropped. */
final readonly class TakingHeap implements Writing
{
    public function __construct(
        private EntityManagerInterface $em,
        private Records $records,
        private RecordWriter $writer,
        private Inputs $inputs,
        private Files $files,
        private HeapFacts $facts,
        private PreparingLines $lines,
        private Quota $quota,
    ) {
    }

    public function takes(RecordInput $input): bool
    {
        return $input instanceof HeapFileInput;
    }

    /** What stays where it lies, and everything that is said of a file later. */
    public function put(Uuid $id, RecordInput $input): Written
    {
        assert($input instanceof HeapFileInput);
        if ($this->em->find(HeapFile::class, $id) === null) {
            if (trim($input->lies) === '') {
                throw Invalid::at('lies', 'Where does it lie? Say so, or send the file itself.');
            }
            if ($input->sha256 === '') {
                throw Invalid::at('sha256', 'What stays where it lies is known by its SHA-256 alone, and there is none.');
            }
            $this->mustBeNew($this->records->workspaceToWrite($input->workspace)->id()->toRfc4122(), $input->sha256);
        }

        return $this->writer->put(HeapFile::class, $id, $input);
    }

    /**
     * @param array<string, mixed> $fields workspace, name, camera, zone, modified
     *
     * @throws Refusal
     */
    public function take(Uuid $id, array $fields, string $path): Written
    {
        // Before anything is decoded: a stranger's or a viewer's upload should not cost anything, nor one sent twice.
        $workspace = $this->records->workspaceToWrite(is_string($fields['workspace'] ?? null) ? $fields['workspace'] : '');
        $input = $this->inputs->read(HeapFileInput::class, $fields);
        if ((int) filesize($path) === 0) {
            throw Invalid::at('file', 'This file is empty.');
        }
        $source = Files::sha256($path);
        $known = $this->em->find(HeapFile::class, $id);
        if ($known !== null && $known->source() === $source) {
            return new Written($this->records->find(HeapFile::class, $id)->view());
        }
        if ($known !== null) {
            throw Taken::identifier();
        }
        self::mustBeWhatItIsCalled($path, $input->name);
        $this->mustBeNew($workspace->id()->toRfc4122(), $source);
        $this->quota->mustHold($workspace, (int) filesize($path));
        $file = $this->files->take($path, $id->toRfc4122(), $source);

        return $this->em->wrapInTransaction(function () use ($id, $input, $file): Written {
            $written = $this->writer->put(HeapFile::class, $id, $input);
            $record = $this->records->find(HeapFile::class, $id);
            $record->is($file);
            $this->em->flush();
            $this->lines->take($id, $file);

            return new Written($record->view(), $written->new, $written->stale);
        });
    }

    /** @throws WrongKind a clip that is none */
    private static function mustBeWhatItIsCalled(string $path, string $name): void
    {
        $called = FileKind::ofName($name);
        if (FileKind::ofType(Files::sniff($path)) === FileKind::Document && $called !== null && $called !== FileKind::Document) {
            throw WrongKind::none($name, $called->value);
        }
    }

    /** @throws Taken */
    private function mustBeNew(string $workspace, string $source): void
    {
        $where = $this->facts->known($workspace, [$source])[$source] ?? null;
        if ($where !== null) {
            throw Taken::because(sprintf('This is here already: %s. It was not taken twice.', $where));
        }
    }
}
