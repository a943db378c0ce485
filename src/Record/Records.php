<?php

declare(strict_types=1);

namespace Lustrum\Record;

use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;
use Lustrum\Account\Access;
use Lustrum\Account\CurrentUser;
use Lustrum\Account\Membership;
use Lustrum\Account\Role;
use Lustrum\Account\User;
use Lustrum\Account\Workspace;
use Lustrum\Shared\Refusal\Invalid;
use Lustrum\Shared\Refusal\NotAllowed;
use Lustrum\Shared\Refusal\NotThere;
use Lustrum\Shared\Refusal\Refusal;
use Symfony\Bundle\SecurityBundle\Security;
use Symfony\Component\Security\Core\Authentication\Token\TokenInterface;
use Symfony\Component\Uid\Uuid;

/** Finds records for the person who is signed in; what is not theirs is not there. */
final readonly class Records
{
    /** @var \WeakMap<TokenInterface, array<string, bool>> by who is signed in: an import asks of each record whose workspace it is */
    private \WeakMap $granted;

    public function __construct(
        private EntityManagerInterface $em,
        private Security $security,
        private History $history,
        private CurrentUser $user,
    ) {
        $this->granted = new \WeakMap();
    }

    /**
     * @template T of Record
     *
     * @param class-string<T> $class
     *
     * @return T
     *
     * @throws NotThere when there is none, or it is in a workspace that this person is not in
     */
    public function find(string $class, Uuid $id, bool $forWriting = false): Record
    {
        $record = $this->em->find($class, $id, $forWriting ? LockMode::PESSIMISTIC_WRITE : null);
        if ($record === null || !$this->mayRead($record->workspace())) {
            throw NotThere::here();
        }
        if ($forWriting) {
            $this->mustWrite($record->workspace());
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
     *
     * @throws Invalid
     */
    public function named(string $class, string $id, string $path): Record
    {
        if (!Uuid::isValid($id)) {
            throw Invalid::at($path, 'This is not an identifier.');
        }
        try {
            return $this->find($class, Uuid::fromString($id));
        } catch (Refusal) {
            throw Invalid::at($path, 'What this refers to is not there, or is not yours.');
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

    /**
     * Several records of one kind, each found and of this device.
     *
     * @template T of Record<covariant RecordInput>
     *
     * @param class-string<T> $class
     * @param list<string>    $ids
     *
     * @return list<string> as they are kept, each once
     *
     * @throws Invalid at the entry that is wrong
     */
    public function identifiers(string $class, array $ids, string $path, Uuid $device): array
    {
        $out = [];
        foreach ($ids as $i => $id) {
            $record = $this->named($class, $id, sprintf('%s[%d]', $path, $i));
            if (!$record->belongsTo()->equals($device)) {
                throw Invalid::at(sprintf('%s[%d]', $path, $i), 'That belongs to another device.');
            }
            $out[$record->id()->toRfc4122()] = true;
        }

        return array_map(strval(...), array_keys($out));
    }

    /**
     * Another that is called the same, however it is written.
     *
     * @template T of Record<covariant RecordInput>&Named
     *
     * @param class-string<T>      $class
     * @param array<string, mixed> $criteria among which others
     * @param Uuid                 $but      the one that is looked at
     *
     * @return T|null
     */
    public function namesake(string $class, array $criteria, string $name, Uuid $but): ?Record
    {
        foreach ($this->all($class, $criteria) as $other) {
            if (!$other->id()->equals($but) && mb_strtolower($other->name()) === mb_strtolower($name)) {
                return $other;
            }
        }

        return null;
    }

    /** @throws NotThere */
    public function workspace(Uuid $id): Workspace
    {
        $workspace = $this->em->find(Workspace::class, $id);
        if ($workspace === null || !$this->mayRead($workspace)) {
            throw NotThere::here();
        }

        return $workspace;
    }

    /**
     * The workspace that an input names, to be written in.
     *
     * @throws Invalid|NotThere|NotAllowed
     */
    public function workspaceToWrite(string $named): Workspace
    {
        $workspace = $this->workspace(
            Uuid::isValid($named) ? Uuid::fromString($named) : throw Invalid::at('workspace', 'This is not an identifier.'),
        );
        $this->mustWrite($workspace);

        return $workspace;
    }

    /** Somebody's place in a workspace; null: they are not in it. */
    public function member(Workspace $workspace, Uuid $person): ?Membership
    {
        return $this->em->getRepository(Membership::class)->findOneBy(['workspace' => $workspace, 'user' => $person]);
    }

    /** Somebody of a workspace by name, who may write; null: nobody, or several are called that. */
    public function called(Workspace $workspace, string $name): ?User
    {
        $found = array_values(array_filter(
            $this->em->getRepository(Membership::class)->findBy(['workspace' => $workspace]),
            static fn (Membership $m): bool => $m->user()->name() === $name && $m->role() !== Role::Viewer,
        ));

        return count($found) === 1 ? $found[0]->user() : null;
    }

    public function mayRead(Workspace $workspace): bool
    {
        return $this->may(Access::Read, $workspace);
    }

    public function mayWrite(Workspace $workspace): bool
    {
        return $this->may(Access::Write, $workspace);
    }

    /** A token is of one request: what was answered within it is not asked again. */
    private function may(Access $what, Workspace $workspace): bool
    {
        $token = $this->security->getToken();
        if ($token === null) {
            return $this->security->isGranted($what->value, $workspace);
        }
        $known = $this->granted[$token] ?? [];
        $key = $what->value.$workspace->id()->toRfc4122();
        if (!isset($known[$key])) {
            $known[$key] = $this->security->isGranted($what->value, $workspace);
            $this->granted[$token] = $known;
        }

        return $known[$key];
    }

    /** @throws NotThere|NotAllowed */
    public function mustWrite(Workspace $workspace): void
    {
        if (!$this->mayRead($workspace)) {
            throw NotThere::here();
        }
        if (!$this->mayWrite($workspace)) {
            throw NotAllowed::toWrite();
        }
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
        $criteria += $withdrawnToo ? [] : ['withdrawnBecause' => null];

        return array_values($this->em->getRepository($class)->findBy($criteria, ['createdAt' => 'ASC', 'id' => 'ASC']));
    }

    /**
     * The last ones that were made, newest first; withdrawn ones left out.
     *
     * @template T of Record
     *
     * @param class-string<T>      $class
     * @param array<string, mixed> $criteria
     *
     * @return list<T>
     */
    public function some(string $class, array $criteria, int $most): array
    {
        return array_values($this->em->getRepository($class)->findBy(
            $criteria + ['withdrawnBecause' => null], ['createdAt' => 'DESC', 'id' => 'DESC'], $most,
        ));
    }

    /**
     * Keeps a new record, with its entry in the history; written with the transaction that is open.
     *
     * @param Record<covariant RecordInput> $record
     */
    public function add(Record $record, string $fingerprint = ''): void
    {
        $record->written($fingerprint, $this->user->name(), true);
        $this->em->persist($record);
        $this->history->created($record, $this->user->name());
    }

    public function manager(): EntityManagerInterface
    {
        return $this->em;
    }
}
