<?php

declare(strict_types=1);

namespace Lustrum\Action\Files;

use Doctrine\ORM\EntityManagerInterface;
use Lustrum\Domain\Finding\Photo;
use Lustrum\Domain\Heap\HeapFile;
use Lustrum\Record\AfterWrite;
use Lustrum\Shared\Refusal\Refusal;
use Lustrum\Storage\Files;
use Symfony\Component\Uid\Uuid;

/** Prepares a file that waits; what is wrong with it then stands at its record. */
final readonly class Preparing
{
    private const GIVEN_UP = 'This file could not be prepared here. Withdraw it and send it again, or in another format.';

    public function __construct(
        private EntityManagerInterface $em,
        private Files $files,
        private AfterWrite $after,
    ) {
    }

    public function prepare(Uuid $id): void
    {
        $photo = $this->holder($id);
        if ($photo === null || !$photo->isWaiting()) {
            return;
        }
        try {
            $file = $this->files->finish($id->toRfc4122());
            $settle = static fn (Photo|HeapFile $p) => $p->is($file);
        } catch (Refusal $e) {
            $settle = static fn (Photo|HeapFile $p) => $p->isBroken($e->getMessage());
        }
        $this->settle($photo, $settle);
        $this->files->drop($id->toRfc4122());
    }

    /** It was tried and tried again, and something on our side does not do. */
    public function giveUp(Uuid $id): void
    {
        $photo = $this->holder($id);
        if ($photo !== null && $photo->isWaiting()) {
            $this->settle($photo, static fn (Photo|HeapFile $p) => $p->isBroken(self::GIVEN_UP));
            $this->files->drop($id->toRfc4122());
        }
    }

    private function holder(Uuid $id): Photo|HeapFile|null
    {
        return $this->em->find(Photo::class, $id) ?? $this->em->find(HeapFile::class, $id);
    }

    /** @param callable(Photo|HeapFile): void $settle */
    private function settle(Photo|HeapFile $photo, callable $settle): void
    {
        $this->em->wrapInTransaction(function () use ($photo, $settle): void {
            $settle($photo);
            $this->em->flush();
            $this->after->written([$photo]);
        });
    }
}
