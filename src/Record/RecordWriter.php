<?php

declare(strict_types=1);

namespace Lustrum\Record;

use Doctrine\DBAL\Exception\UniqueConstraintViolationException;
use Doctrine\ORM\EntityManagerInterface;
use Lustrum\Account\CurrentUser;
use Lustrum\Shared\Refusal\ChangedMeanwhile;
use Lustrum\Shared\Refusal\Invalid;
use Lustrum\Shared\Refusal\Taken;
use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;
use Symfony\Component\Uid\Uuid;

/**
 * Writes records, so that every write has the same manners: it may be repeated, it does not overwrite what somebody
 * else wrote meanwhile, and it leaves an entry in the history, all in one transaction.
 */
final readonly class RecordWriter
{
    /**
     * @param iterable<Beginning> $beginnings
     * @param iterable<Along>     $alongs
     */
    public function __construct(
        private EntityManagerInterface $em,
        private Records $records,
        private Registry $registry,
        private History $history,
        private CurrentUser $user,
        private AfterWrite $after,
        #[AutowireIterator(Beginning::class)]
        private iterable $beginnings,
        #[AutowireIterator(Along::class)]
        private iterable $alongs,
    ) {
    }

    /**
     * @param class-string<Record<covariant RecordInput>> $class
     *
     * @throws \Lustrum\Shared\Refusal\Refusal
     */
    public function put(string $class, Uuid $id, RecordInput $input): Written
    {
        try {
            return $this->inTransaction(fn (): Written => $this->write($class, $id, $input));
        } catch (UniqueConstraintViolationException $e) {
            throw Taken::name($e);
        }
    }

    /**
     * Sets something beside what was written once: an amendment, with its author.
     *
     * @template T of Record
     *
     * @param class-string<T>           $class
     * @param callable(T, string): void $amend   gets the record and the author's name
     * @param int                       $version that was looked at
     * @param (callable(T): list<array{class-string<Record<covariant RecordInput>>, Uuid, RecordInput}>)|null $along what is written in
     *     one go with it
     */
    public function amend(string $class, Uuid $id, int $version, callable $amend, ?callable $along = null): Written
    {
        return $this->inTransaction(function () use ($class, $id, $version, $amend, $along): Written {
            $record = $this->records->find($class, $id, true);
            if ($version !== $record->version()) {
                throw ChangedMeanwhile::to($record->view());
            }
            $was = $record->view();
            $amend($record, $this->user->name());
            $with = $along === null ? [] : $this->makeAll($record, $along($record));

            return $this->changed($record, $was, 'amended', $with);
        });
    }

    /** @param class-string<Record<covariant RecordInput>> $class */
    public function withdraw(string $class, Uuid $id, string $because): Written
    {
        return $this->inTransaction(function () use ($class, $id, $because): Written {
            $record = $this->records->find($class, $id, true);
            if ($record->withdrawnBecause() === $because) {
                return new Written($record->view());
            }
            $was = $record->view();
            $record->withdraw($because);

            return $this->changed($record, $was, 'withdrawn');
        });
    }

    /**
     * Makes a record, with what stands beside it; for actions that write more than one.
     *
     * @param class-string<Record<covariant RecordInput>> $class
     *
     * @return Record<covariant RecordInput>
     */
    public function make(string $class, Uuid $id, RecordInput $input): Record
    {
        $record = $this->begin($class, $id, $input);
        $record->fill($input, $this->records);
        $this->mustStayWithin($record, $input);
        $this->records->add($record, self::fingerprint($input));

        return $record;
    }

    /**
     * The same write at once from many places: one of them makes the record, the others wait here and find it.
     */
    public function oneAtATime(Uuid $id): void
    {
        $this->em->getConnection()->executeStatement('SELECT pg_advisory_xact_lock(hashtextextended(?, 0))', [$id->toRfc4122()]);
    }

    /**
     * As `wrapInTransaction()` of the entity manager, which would look through all that it knows once more: every write here
     * has sent what it changed.
     *
     * @template T
     *
     * @param callable(): T $work
     *
     * @return T
     */
    private function inTransaction(callable $work): mixed
    {
        $db = $this->em->getConnection();
        $db->beginTransaction();
        try {
            $done = $work();
            $db->commit();

            return $done;
        } catch (\Throwable $e) {
            $this->em->close();
            if ($db->isTransactionActive()) {
                $db->rollBack();
            }
            throw $e;
        }
    }

    /** @param class-string<Record<covariant RecordInput>> $class */
    private function write(string $class, Uuid $id, RecordInput $input): Written
    {
        $this->oneAtATime($id);
        $known = $this->em->find($class, $id);
        if ($known === null) {
            $record = $this->make($class, $id, $input);
            $along = $this->along($record, $input);
            $this->em->flush();

            return new Written($record->view(), true, $this->after->written([$record, ...$along]));
        }
        $known = $this->records->find($class, $id, true);
        $fingerprint = self::fingerprint($input);
        if ($known->bears($fingerprint)) {
            return new Written($known->view());
        }
        if ((get_object_vars($input)['version'] ?? null) !== $known->version()) {
            throw ChangedMeanwhile::to($known->view());
        }
        $was = $known->view();
        $known->fill($input, $this->records);
        $this->mustStayWithin($known, $input);

        return $this->changed($known, $was, $fingerprint, $this->along($known, $input));
    }

    /**
     * What is written in one go with a record; what was written with it before is not written again.
     *
     * @param Record<covariant RecordInput> $record
     *
     * @return list<Record<covariant RecordInput>>
     */
    private function along(Record $record, RecordInput $input): array
    {
        $all = [];
        foreach ($this->alongs as $along) {
            array_push($all, ...($along::of() === $record::class ? $along->along($record, $input) : []));
        }

        return $this->makeAll($record, $all);
    }

    /**
     * @param Record<covariant RecordInput>                                                $with
     * @param list<array{class-string<Record<covariant RecordInput>>, Uuid, RecordInput}> $all
     *
     * @return list<Record<covariant RecordInput>> that were not there yet
     */
    private function makeAll(Record $with, array $all): array
    {
        $out = [];
        foreach ($all as [$class, $id, $input]) {
            $known = $this->em->find($class, $id);
            if ($known === null) {
                $out[] = $this->make($class, $id, $input);
            } elseif (!$known->belongsTo()->equals($with->belongsTo())) {
                throw Invalid::at('id', 'That identifier is taken.');
            }
        }

        return $out;
    }

    /**
     * @param Record<covariant RecordInput>       $record
     * @param list<Record<covariant RecordInput>> $along written in one go with it
     */
    private function changed(Record $record, object $was, string $fingerprint, array $along = []): Written
    {
        $record->written($fingerprint, $this->user->name(), false);
        $this->history->changed($record, $was, $this->user->name());
        $this->em->flush();

        return new Written($record->view(), false, $this->after->written([$record, ...$along]));
    }

    /**
     * @param class-string<Record<covariant RecordInput>> $class
     *
     * @return Record<covariant RecordInput>
     */
    private function begin(string $class, Uuid $id, RecordInput $input): Record
    {
        foreach ($this->beginnings as $beginning) {
            if ($beginning::of() === $class) {
                $record = $beginning->begin($id, $input);
                $this->records->mustWrite($record->workspace());

                return $record;
            }
        }
        $record = Record::of($class, $id, $input, $this->records);
        $this->records->mustWrite($record->workspace());

        return $record;
    }

    /**
     * What a record refers to belongs to the same device.
     *
     * @param Record<covariant RecordInput> $record
     */
    private function mustStayWithin(Record $record, RecordInput $input): void
    {
        $fields = get_object_vars($input);
        foreach ($this->registry->of($record::class)->references as $field => $kind) {
            $id = $fields[$field] ?? null;
            if (!is_string($id)) {
                continue;
            }
            $other = $this->records->named($this->registry->named($kind)->class, $id, $field);
            if (!$other->belongsTo()->equals($record->belongsTo())) {
                throw Invalid::at($field, 'What this refers to belongs to another device.');
            }
        }
    }

    private static function fingerprint(RecordInput $input): string
    {
        $fields = get_object_vars($input);
        unset($fields['version']);

        return hash('sha256', json_encode($fields, \JSON_THROW_ON_ERROR | \JSON_PRESERVE_ZERO_FRACTION));
    }
}
