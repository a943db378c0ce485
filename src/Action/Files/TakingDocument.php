<?php

declare(strict_types=1);

namespace Lustrum\Action\Files;

use Doctrine\ORM\EntityManagerInterface;
use Lustrum\Domain\Document\Document;
use Lustrum\Domain\Document\DocumentInput;
use Lustrum\Domain\Document\DocumentRole;
use Lustrum\Domain\Revision\Revision;
use Lustrum\Record\Inputs;
use Lustrum\Record\Records;
use Lustrum\Record\RecordWriter;
use Lustrum\Record\Written;
use Lustrum\Shared\Refusal\Refusal;
use Lustrum\Storage\Documents;
use Lustrum\Storage\Files;
use Symfony\Component\Uid\Uuid;

/** Takes in a file that a build is made from, with its record. */
final readonly class TakingDocument
{
    public function __construct(
        private EntityManagerInterface $em,
        private Records $records,
        private RecordWriter $writer,
        private Inputs $inputs,
        private Documents $documents,
        private PreparingLines $lines,
        private Quota $quota,
    ) {
    }

    /**
     * @param array<string, mixed> $fields of the record
     *
     * @throws Refusal
     */
    public function take(Uuid $id, array $fields, string $path): Written
    {
        // Before anything is read: a stranger's or a viewer's upload should not cost anything, nor one sent twice.
        $revision = $this->records->named(Revision::class, is_string($fields['revision'] ?? null) ? $fields['revision'] : '', 'revision');
        $this->records->mustWrite($revision->workspace());
        $known = $this->em->find(Document::class, $id);
        if ($known !== null && $known->sha256() === Files::sha256($path)) {
            return new Written($this->records->find(Document::class, $id)->view());
        }
        $name = is_string($fields['name'] ?? null) ? $fields['name'] : '';
        // What is wrong with its words is said before it is kept.
        $this->inputs->read(DocumentInput::class, $fields);
        $this->quota->mustHold($revision->workspace(), (int) filesize($path));
        $file = $this->documents->take($path, $name, ($fields['role'] ?? '') === DocumentRole::Source->value);
        $plain = ['preview' => $file->preview->value] + get_object_vars($file);

        $input = $this->inputs->read(DocumentInput::class, ['file' => $plain] + $fields);

        return $this->em->wrapInTransaction(function () use ($id, $input, $file): Written {
            $written = $this->writer->put(Document::class, $id, $input);
            $this->lines->document($id, $file);

            return $written;
        });
    }
}
