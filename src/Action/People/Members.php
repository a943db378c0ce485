<?php

declare(strict_types=1);

namespace Lustrum\Action\People;

use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;
use Lustrum\Account\CurrentUser;
use Lustrum\Account\FirstAccountInput;
use Lustrum\Account\MemberInput;
use Lustrum\Account\Membership;
use Lustrum\Account\NewPassword;
use Lustrum\Account\OwnPassword;
use Lustrum\Account\Role;
use Lustrum\Account\User;
use Lustrum\Account\Workspace;
use Lustrum\Record\History;
use Lustrum\Shared\Refusal\Invalid;
use Lustrum\Shared\Refusal\NotThere;
use Lustrum\Shared\Refusal\Settled;
use Lustrum\Shared\Refusal\Taken;
use Symfony\Component\PasswordHasher\Hasher\UserPasswordHasherInterface;
use Symfony\Component\Uid\Uuid;

/** Who is in a workspace. One change at a time: two leads taking each other out leave one of them. */
final readonly class Members
{
    public function __construct(
        private EntityManagerInterface $em,
        private UserPasswordHasherInterface $hasher,
        private History $history,
        private CurrentUser $user,
    ) {
    }

    /** Makes the first account and its workspace. */
    public function first(FirstAccountInput $input): User
    {
        return $this->em->wrapInTransaction(function () use ($input): User {
            // Two first visitors: one waits here, and then finds an account.
            $this->em->getConnection()->executeStatement('LOCK TABLE account IN EXCLUSIVE MODE');
            if ($this->em->getRepository(User::class)->count() > 0) {
                throw Taken::account();
            }
            OwnPassword::mustNotBeMadeOf($input->password, [$input->email, $input->name, $input->workspace], 'password');
            $workspace = new Workspace(trim($input->workspace));
            $this->em->persist($workspace);
            $user = $this->user(self::address($input->email), trim($input->name), $input->password);
            $this->em->persist(new Membership($workspace, $user, Role::Lead));
            $this->em->flush();

            return $user;
        });
    }

    /** Lets somebody in, or changes a role; the same again changes nothing. */
    public function letIn(Workspace $workspace, MemberInput $input): Membership
    {
        return $this->em->wrapInTransaction(function () use ($workspace, $input): Membership {
            $this->lock($workspace);
            $email = self::address($input->email);
            $user = $this->em->getRepository(User::class)->findOneBy(['email' => $email]);
            if ($user === null) {
                if ($input->password === null || $email === '') {
                    throw Invalid::at('password', sprintf(
                        'This person has no account yet. Give a first password of at least %d characters.', NewPassword::LEAST,
                    ));
                }
                OwnPassword::mustNotBeMadeOf($input->password, [$email, $input->name, $workspace->name()], 'password');
                $user = $this->user($email, trim($input->name), $input->password);
            }
            $membership = $this->em->getRepository(Membership::class)->findOneBy(['user' => $user, 'workspace' => $workspace]);
            if ($membership === null) {
                $membership = new Membership($workspace, $user, $input->role);
                $this->em->persist($membership);
                $this->enter($membership, 'let in');
            } elseif ($membership->role() !== $input->role) {
                $this->mustNotBeTheLastLead($membership);
                $membership->become($input->role);
                $this->enter($membership, 'role');
            }
            $this->em->flush();

            return $membership;
        });
    }

    public function letOut(Workspace $workspace, Uuid $person): void
    {
        $this->em->wrapInTransaction(function () use ($workspace, $person): void {
            $this->lock($workspace);
            $membership = $this->em->getRepository(Membership::class)->findOneBy(
                ['workspace' => $workspace, 'user' => $person],
            ) ?? throw NotThere::here();
            $this->mustNotBeTheLastLead($membership);
            $this->enter($membership, 'taken out');
            $this->em->remove($membership);
            $this->em->flush();
        });
    }

    /** Written down in each workspace that the person is in. */
    public function changedPassword(User $user): void
    {
        foreach ($this->em->getRepository(Membership::class)->findBy(['user' => $user]) as $membership) {
            $this->history->happened('password', $user->id(), $membership->workspace(), $user->name(), ['what' => 'changed']);
        }
    }

    private function lock(Workspace $workspace): void
    {
        $this->em->lock($workspace, LockMode::PESSIMISTIC_WRITE);
    }

    private function user(string $email, string $name, string $password): User
    {
        if ($email === '') {
            throw Invalid::at('email', 'This is still empty.');
        }
        $user = new User($email, $name);
        $user->setPassword($this->hasher->hashPassword($user, $password));
        $this->em->persist($user);

        return $user;
    }

    private function mustNotBeTheLastLead(Membership $membership): void
    {
        if ($membership->role() !== Role::Lead) {
            return;
        }
        // Counted anew behind the lock, not from what was read before it.
        $leads = $this->em->getConnection()->fetchOne(
            "SELECT count(*) FROM membership WHERE workspace_id = ? AND role = 'lead'", [$membership->workspace()->id()->toRfc4122()],
        );
        if (!is_numeric($leads) || (int) $leads < 2) {
            throw Settled::lastLead();
        }
    }

    private function enter(Membership $membership, string $what): void
    {
        $user = $membership->user();
        $this->history->happened('member', $user->id(), $membership->workspace(), $this->user->name(), [
            'what' => $what, 'name' => $user->name(), 'email' => $user->email(), 'role' => $membership->role()->value,
        ]);
    }

    private static function address(string $email): string
    {
        return mb_strtolower(trim($email));
    }
}
