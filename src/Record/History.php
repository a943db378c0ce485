<?php

declare(strict_types=1);

namespace Lustrum\Record;

use Doctrine\ORM\EntityManagerInterface;
use Lustrum\Account\User;

/** Writes the history, in the transaction of the change itself. */
final readonly class History
{
    public function __construct(
        private EntityManagerInterface $em,
    ) {
    }

    /** @param Record<covariant RecordInput> $record */
    public function created(Record $record, ?User $by): void
    {
        $this->enter($record, null, $by);
    }

    /** @param Record<covariant RecordInput> $record */
    public function changed(Record $record, object $was, ?User $by): void
    {
        $this->enter($record, self::plain($was), $by);
    }

    /**
     * @param Record<covariant RecordInput>       $record
     * @param array<string, mixed>|null $was
     */
    private function enter(Record $record, ?array $was, ?User $by): void
    {
        $kind = strtolower((new \ReflectionClass($record))->getShortName());
        $this->em->persist(new HistoryEntry($record->workspace()->id(), $record->id(), $kind, $by?->name() ?? 'Lustrum', $was, self::plain($record->view())));
    }

    /** @return array<string, mixed> */
    private static function plain(object $view): array
    {
        /** @var array<string, mixed> $plain */
        $plain = json_decode(json_encode($view, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION), true, 64, JSON_THROW_ON_ERROR);

        return $plain;
    }
}
