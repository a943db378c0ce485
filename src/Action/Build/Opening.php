<?php

declare(strict_types=1);

namespace Lustrum\Action\Build;

use Doctrine\ORM\EntityManagerInterface;
use Lustrum\Domain\Revision\Revision;
use Lustrum\Domain\Revision\RevisionInput;
use Lustrum\Record\RecordInput;
use Lustrum\Record\RecordWriter;
use Lustrum\Record\Writing;
use Lustrum\Record\Written;
use Symfony\Component\Uid\Uuid;

/** A build that is made by hand begins as its parent is, as one that was decided does. */
final readonly class Opening implements Writing
{
    public function __construct(
        private EntityManagerInterface $em,
        private RecordWriter $writer,
        private CarryingOver $carrying,
    ) {
    }

    public function takes(RecordInput $input): bool
    {
        return $input instanceof RevisionInput && $input->parent !== null && trim($input->correction) === '' && $input->version === null;
    }

    public function put(Uuid $id, RecordInput $input): Written
    {
        return $this->em->wrapInTransaction(function () use ($id, $input): Written {
            $written = $this->writer->put(Revision::class, $id, $input);
            $build = $written->new ? $this->em->find(Revision::class, $id) : null;
            $parent = $build?->parent();
            if ($build !== null && $parent !== null) {
                $this->carrying->copy($parent, $build);
                $this->em->flush();
            }

            return $written;
        });
    }
}
