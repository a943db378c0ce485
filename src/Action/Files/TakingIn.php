<?php

declare(strict_types=1);

namespace Lustrum\Action\Files;

use Doctrine\ORM\EntityManagerInterface;
use Lustrum\Domain\Finding\Photo;
use Lustrum\Domain\Finding\PhotoInput;
use Lustrum\Domain\Revision\Revision;
use Lustrum\Record\Inputs;
use Lustrum\Record\Records;
use Lustrum\Record\RecordWriter;
use Lustrum\Record\Written;
use Lustrum\Shared\Refusal\Refusal;
use Lustrum\Storage\Files;
use Lustrum\Storage\StoredFile;
use Symfony\Component\Uid\Uuid;

/** Takes in a file that somebody sent, with its record; what cannot be prepared at once is put in line. */
final readonly class TakingIn
{
    public function __construct(
        private EntityManagerInterface $em,
        private Records $records,
        private RecordWriter $writer,
        private Inputs $inputs,
        private Files $files,
        private PreparingLines $lines,
        private Quota $quota,
    ) {
    }

    /**
     * @param array<string, mixed> $fields revision, run, failure, caption
     *
     * @throws Refusal
     */
    public function take(Uuid $id, array $fields, string $path): Written
    {
        // Before anything is decoded: a stranger's or a viewer's upload should not cost anything, nor one sent twice.
        $revision = $this->records->named(Revision::class, is_string($fields['revision'] ?? null) ? $fields['revision'] : '', 'revision');
        $this->records->mustWrite($revision->workspace());
        $source = Files::sha256($path);
        $known = $this->em->find(Photo::class, $id);
        if ($known !== null && $known->isTheSame($source, $this->input(new StoredFile('', 0, 0, 0), $fields))) {
            return new Written($this->records->find(Photo::class, $id)->view());
        }
        // What is wrong with its words is said before it is kept.
        $this->input(new StoredFile('', 0, 0, 0), $fields);
        $this->quota->mustHold($revision->workspace(), (int) filesize($path));
        $file = $this->files->take($path, $id->toRfc4122(), $source);
        $input = $this->input($file, $fields);

        return $this->em->wrapInTransaction(function () use ($id, $input, $file): Written {
            $written = $this->writer->put(Photo::class, $id, $input);
            $this->lines->take($id, $file);

            return $written;
        });
    }

    /** @param array<string, mixed> $fields */
    private function input(StoredFile $file, array $fields): PhotoInput
    {
        $plain = ['kind' => $file->kind->value] + get_object_vars($file);

        return $this->inputs->read(PhotoInput::class, ['picture' => $plain, 'caption' => $fields['caption'] ?? ''] + $fields);
    }
}
