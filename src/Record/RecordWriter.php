<?php

declare(strict_types=1);

namespace Lustrum\Record;

use Doctrine\DBAL\Exception\UniqueConstraintViolationException;
use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;
use Lustrum\Account\Access;
use Lustrum\Account\User;
use Lustrum\Http\Problem;
use Symfony\Bundle\SecurityBundle\Security;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\Uid\Uuid;

/**
 * Writes records, so that every write has the same manners: it may be repeated, it does not overwrite what somebody
 * else wrote meanwhile, and it leaves an entry in the history, all in one transaction.
 */
final readonly class RecordWriter
{
    public function __construct(
        private EntityManagerInterface $em,
        private Records $records,
        private Security $security,
        private History $history,
    ) {
    }

    /**
     * @template I of RecordInput
     *
     * @param class-string<Record<I>> $class
     * @param I                       $input
     */
    public function put(string $class, Uuid $id, RecordInput $input): JsonResponse
    {
        try {
            return $this->em->wrapInTransaction(fn (): JsonResponse => $this->write($class, $id, $input));
        } catch (UniqueConstraintViolationException $e) {
            throw Problem::conflictOf('Something of this kind with the same name or place is there already.', $e);
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
     */
    public function amend(string $class, Uuid $id, int $version, callable $amend): JsonResponse
    {
        return $this->em->wrapInTransaction(function () use ($class, $id, $version, $amend): JsonResponse {
            $this->em->find($class, $id, LockMode::PESSIMISTIC_WRITE);
            $record = $this->records->find($class, $id);
            $this->mustBeAllowed($record);
            if ($version !== $record->version()) {
                throw Problem::conflict($record->view());
            }
            $was = $record->view();
            $amend($record, $this->author()?->name() ?? 'Lustrum');
            $record->written('amended', $this->author(), false);
            $this->history->changed($record, $was, $this->author());
            $this->em->flush();

            return new JsonResponse($record->view());
        });
    }

    /** @param class-string<Record<covariant RecordInput>> $class */
    public function withdraw(string $class, Uuid $id, string $because): JsonResponse
    {
        return $this->em->wrapInTransaction(function () use ($class, $id, $because): JsonResponse {
            $record = $this->records->find($class, $id);
            $this->mustBeAllowed($record);
            $was = $record->view();
            $record->withdraw($because);
            $record->written('withdrawn', $this->author(), false);
            $this->history->changed($record, $was, $this->author());
            $this->em->flush();

            return new JsonResponse($record->view());
        });
    }

    /**
     * @template I of RecordInput
     *
     * @param class-string<Record<I>> $class
     * @param I                       $input
     */
    private function write(string $class, Uuid $id, RecordInput $input): JsonResponse
    {
        $fingerprint = self::fingerprint($input);
        $known = $this->em->find($class, $id, LockMode::PESSIMISTIC_WRITE);
        if ($known === null) {
            $record = $class::start($id, $input, $this->records);
            $this->mustBeAllowed($record);
            $record->take($input, $this->records);
            $record->written($fingerprint, $this->author(), true);
            $this->em->persist($record);
            $this->history->created($record, $this->author());
            $this->em->flush();

            return new JsonResponse($record->view(), 201);
        }
        if (!$this->security->isGranted(Access::Read->value, $known->workspace())) {
            throw Problem::notFound();
        }
        $this->mustBeAllowed($known);
        if ($known->bears($fingerprint)) {
            return new JsonResponse($known->view());
        }
        if ((get_object_vars($input)['version'] ?? null) !== $known->version()) {
            throw Problem::conflict($known->view());
        }
        $was = $known->view();
        $known->take($input, $this->records);
        $known->written($fingerprint, $this->author(), false);
        $this->history->changed($known, $was, $this->author());
        $this->em->flush();

        return new JsonResponse($known->view());
    }

    /** @param Record<covariant RecordInput> $record */
    private function mustBeAllowed(Record $record): void
    {
        if (!$this->security->isGranted(Access::Read->value, $record->workspace())) {
            throw Problem::notFound();
        }
        if (!$this->security->isGranted(Access::Write->value, $record->workspace())) {
            throw Problem::forbidden('You may look at this workspace, but not change it. A lead can make you a member.');
        }
    }

    private function author(): ?User
    {
        $user = $this->security->getUser();

        return $user instanceof User ? $user : null;
    }

    private static function fingerprint(RecordInput $input): string
    {
        $fields = get_object_vars($input);
        unset($fields['version']);

        return hash('sha256', json_encode($fields, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION));
    }
}
