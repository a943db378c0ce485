<?php

declare(strict_types=1);

namespace Lustrum\Action\Files;

use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Lustrum\Domain\Document\Document;
use Lustrum\Domain\Finding\Photo;
use Lustrum\Domain\Heap\HeapFile;
use Lustrum\Record\AfterWrite;
use Lustrum\Shared\Refusal\Refusal;
use Lustrum\Storage\Documents;
use Lustrum\Storage\FileKind;
use Lustrum\Storage\Files;
use Lustrum\Storage\Preview;
use Symfony\Component\Uid\Uuid;

/** Prepares a file that waits; what is wrong with it then stands at its record. */
final readonly class Preparing
{
    private const GIVEN_UP = 'This file could not be prepared here. Withdraw it and send it again, or in another format.';
    private const NO_PICTURE = 'No picture of it could be made here. The file is kept as it is.';

    /** So long a file lies where it waited, that nobody waits for any more. */
    private const LEFT_SECONDS = 3600;

    /** While a backup is being made, nothing that it may name is taken away: whoever makes one holds this lock (deploy/commands/backup.sh). */
    public const BACKUP_LOCK = 7_420_001;

    public function __construct(
        private EntityManagerInterface $em,
        private Connection $db,
        private Files $files,
        private Documents $documents,
        private AfterWrite $after,
    ) {
    }

    public function prepare(Uuid $id): void
    {
        $holder = $this->holder($id);
        match (true) {
            $holder instanceof Document => $this->show($holder),
            $holder !== null && $holder->isWaiting() => $this->finish($holder),
            $holder !== null && $this->wantsPreview($holder) => $this->preview($holder),
            default => null,
        };
    }

    /** It was tried and tried again, and something on our side does not do. */
    public function giveUp(Uuid $id): void
    {
        $holder = $this->holder($id);
        if ($holder instanceof Document && $holder->preview() === Preview::Waiting) {
            $this->settle($holder, static fn () => $holder->isShown(Preview::None, self::NO_PICTURE));
        } elseif ($holder !== null && !$holder instanceof Document && ($holder->isWaiting() || $this->wantsPreview($holder))) {
            $this->settle($holder, static fn () => $holder->isBroken(self::GIVEN_UP));
        }
        $this->dropWaiting($id);
    }

    private function show(Document $document): void
    {
        if ($document->preview() === Preview::Waiting) {
            [$preview, $seen] = $this->documents->show($document->sha256(), $document->type());
            $this->settle($document, static fn () => $document->isShown($preview, $seen));
        }
    }

    private function finish(Photo|HeapFile $holder): void
    {
        try {
            $file = $this->files->finish($holder->id()->toRfc4122());
            $this->settle($holder, static fn () => $holder->is($file));
        } catch (Refusal $e) {
            $this->settle($holder, static fn () => $holder->isBroken($e->getMessage()));
        }
        $this->dropWaiting($holder->id());
    }

    private function preview(Photo|HeapFile $holder): void
    {
        try {
            $this->files->makePreview($holder->sha256());
        } catch (Refusal $e) {
            $this->settle($holder, static fn () => $holder->isBroken($e->getMessage()));
        }
    }

    private function wantsPreview(Photo|HeapFile $holder): bool
    {
        return $holder->isReady() && $holder->kind() === FileKind::Picture && !$this->files->has($holder->sha256(), true);
    }

    /**
     * What was waited for is taken away, and what was left by something that was cut off: what is being taken in just now
     * has no record yet. A backup that began before may name it; then it lies there until the next time.
     */
    private function dropWaiting(Uuid $done): void
    {
        if (!$this->nobodyBacksUp()) {
            return;
        }
        foreach ([$done->toRfc4122(), ...$this->files->waitingLongerThan(self::LEFT_SECONDS)] as $key) {
            $holder = Uuid::isValid($key) ? $this->holder(Uuid::fromString($key)) : null;
            if ($holder === null || $holder instanceof Document || !$holder->isWaiting()) {
                $this->files->drop($key);
            }
        }
    }

    private function nobodyBacksUp(): bool
    {
        $free = $this->db->fetchOne('SELECT pg_try_advisory_lock(?)', [self::BACKUP_LOCK]) === true;
        if ($free) {
            $this->db->executeStatement('SELECT pg_advisory_unlock(?)', [self::BACKUP_LOCK]);
        }

        return $free;
    }

    private function holder(Uuid $id): Photo|HeapFile|Document|null
    {
        return $this->em->find(Photo::class, $id) ?? $this->em->find(HeapFile::class, $id) ?? $this->em->find(Document::class, $id);
    }

    /** @param callable(): void $settle */
    private function settle(Photo|HeapFile|Document $holder, callable $settle): void
    {
        $this->em->wrapInTransaction(function () use ($holder, $settle): void {
            $settle();
            $this->em->flush();
            $this->after->written([$holder]);
        });
    }
}
