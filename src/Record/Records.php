<?php

declare(strict_types=1);

namespace Lustrum\Record;

use Doctrine\ORM\EntityManagerInterface;
use Lustrum\Account\Access;
use Lustrum\Account\Workspace;
use Lustrum\Http\Problem;
use Symfony\Bundle\SecurityBundle\Security;
use Symfony\Component\Uid\Uuid;

/** Finds records for the person who is signed in; what is not theirs is not there. */
final readonly class Records
{
    public function __construct(
        private EntityManagerInterface $em,
        private Security $security,
    ) {
    }

    /**
     * @template T of Record
     *
     * @param class-string<T> $class
     *
     * @return T
     *
     * @throws Problem 404 when there is none, or it is in a workspace that this person is not in
     */
    public function find(string $class, Uuid $id): Record
    {
        $record = $this->em->find($class, $id);
        if ($record === null || !$this->security->isGranted(Access::Read->value, $record->workspace())) {
            throw Problem::notFound();
        }

        return $record;
    }

    /**
     * The record that an input refers to; a wrong reference is a violation at $path.
     *
     * @template T of Record
     *
     * @param class-string<T> $class
     *
     * @return T
     */
    public function named(string $class, string $id, string $path): Record
    {
        if (!Uuid::isValid($id)) {
            throw Problem::violation($path, 'This is not an identifier.');
        }
        try {
            return $this->find($class, Uuid::fromString($id));
        } catch (Problem) {
            throw Problem::violation($path, 'What this refers to is not there, or is not yours.');
        }
    }

    /**
     * @template T of Record
     *
     * @param class-string<T> $class
     *
     * @return ($id is null ? null : T)
     */
    public function namedOrNull(string $class, ?string $id, string $path): ?Record
    {
        return $id === null ? null : $this->named($class, $id, $path);
    }

    public function workspace(Uuid $id): Workspace
    {
        $workspace = $this->em->find(Workspace::class, $id);
        if ($workspace === null || !$this->security->isGranted(Access::Read->value, $workspace)) {
            throw Problem::notFound();
        }

        return $workspace;
    }

    /**
     * Records of one kind that belong to one other, in the order they were made; withdrawn ones left out.
     *
     * @template T of Record
     *
     * @param class-string<T>      $class
     * @param array<string, mixed> $criteria
     *
     * @return list<T>
     */
    public function all(string $class, array $criteria, bool $withdrawnToo = false): array
    {
        return array_values($this->em->getRepository($class)->findBy($withdrawnToo ? $criteria : $criteria + ['withdrawnBecause' => null], ['id' => 'ASC']));
    }

    public function manager(): EntityManagerInterface
    {
        return $this->em;
    }
}
