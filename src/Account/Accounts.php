<?php

declare(strict_types=1);

namespace Lustrum\Account;

use Doctrine\ORM\EntityManagerInterface;
use Lustrum\Http\Problem;
use Symfony\Component\PasswordHasher\Hasher\UserPasswordHasherInterface;

/** Makes accounts and lets people into workspaces. */
final readonly class Accounts
{
    public function __construct(
        private EntityManagerInterface $em,
        private UserPasswordHasherInterface $hasher,
    ) {
    }

    public function first(FirstAccountInput $input): User
    {
        return $this->em->wrapInTransaction(function () use ($input): User {
            // Two first accounts at once would both be leads of everything: one waits for the other here.
            $this->em->getConnection()->executeStatement('LOCK TABLE account IN EXCLUSIVE MODE');
            if ($this->em->getRepository(User::class)->count() > 0) {
                throw Problem::of(409, 'exists', 'There is an account already. Sign in, or ask a lead to let you in.');
            }
            $workspace = new Workspace($input->workspace);
            $this->em->persist($workspace);

            return $this->letIn($workspace, $input->name, $input->email, Role::Lead, $input->password)->user();
        });
    }

    public function letIn(Workspace $workspace, string $name, string $email, Role $role, ?string $password): Membership
    {
        $email = mb_strtolower(trim($email));
        $user = $this->em->getRepository(User::class)->findOneBy(['email' => $email]);
        if ($user === null) {
            if ($password === null || $email === '') {
                throw Problem::violation('password', 'This person has no account yet. Give a first password of at least ten characters.');
            }
            $user = new User($email, $name);
            $user->setPassword($this->hasher->hashPassword($user, $password));
            $this->em->persist($user);
        }
        $membership = $this->em->getRepository(Membership::class)->findOneBy(['user' => $user, 'workspace' => $workspace]) ?? new Membership($workspace, $user, $role);
        if ($membership->role() === Role::Lead && $role !== Role::Lead) {
            $this->mustNotBeTheLastLead($workspace);
        }
        $membership->become($role);
        $this->em->persist($membership);
        $this->em->flush();

        return $membership;
    }

    public function letOut(Membership $membership): void
    {
        if ($membership->role() === Role::Lead) {
            $this->mustNotBeTheLastLead($membership->workspace());
        }
        $this->em->remove($membership);
        $this->em->flush();
    }

    private function mustNotBeTheLastLead(Workspace $workspace): void
    {
        if ($this->em->getRepository(Membership::class)->count(['workspace' => $workspace, 'role' => Role::Lead]) < 2) {
            throw Problem::of(409, 'last-lead', 'A workspace needs a lead. Make somebody else lead first.');
        }
    }
}
