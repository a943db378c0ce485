<?php

declare(strict_types=1);

namespace Lustrum\Record;

use Doctrine\ORM\EntityManagerInterface;
use Lustrum\Account\Workspace;
use Symfony\Component\Uid\Uuid;

/** Writes the history, in the transaction of the change itself. */
final readonly class History
{
    public function __construct(
        private EntityManagerInterface $em,
        private Registry $registry,
    ) {
    }

    /** @param Record<covariant RecordInput> $record */
    public function created(Record $record, string $by): void
    {
        $this->enter($record, null, $by);
    }

    /** @param Record<covariant RecordInput> $record */
    public function changed(Record $record, object $was, string $by): void
    {
        $this->enter($record, self::plain($was), $by);
    }

    /**
     * Something that happened in a workspace and is no record: somebody signed in, was let in, took a device out.
     *
     * @param array<string, mixed> $what
     */
    public function happened(string $kind, Uuid $about, Workspace $workspace, string $by, array $what): void
    {
        $this->em->persist(new HistoryEntry($workspace->id(), $about, $kind, $by, null, $what));
    }

    /**
     * @param Record<covariant RecordInput> $record
     * @param array<string, mixed>|null     $was
     */
    private function enter(Record $record, ?array $was, string $by): void
    {
        $kind = $this->registry->of($record::class)->name;
        $this->em->persist(new HistoryEntry($record->workspace()->id(), $record->id(), $kind, $by, $was, self::plain($record->view())));
    }

    /** @return array<string, mixed> */
    private static function plain(object $view): array
    {
        /** @var array<string, mixed> $plain */
        $plain = json_decode(json_encode($view, \JSON_THROW_ON_ERROR | \JSON_PRESERVE_ZERO_FRACTION), true, 64, \JSON_THROW_ON_ERROR);

        return $plain;
    }
}
