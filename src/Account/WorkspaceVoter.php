<?php

declare(strict_types=1);

namespace Lustrum\Account;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\Security\Core\Authentication\Token\TokenInterface;
use Symfony\Component\Security\Core\Authorization\Voter\Vote;
use Symfony\Component\Security\Core\Authorization\Voter\Voter;
use Symfony\Contracts\Service\ResetInterface;

/**
 * Who may read, write or lead a workspace.
 *
 * @extends Voter<string, Workspace>
 */
final class WorkspaceVoter extends Voter implements ResetInterface
{
    /** @var array<string, ?Role> */
    private array $roles = [];

    public function __construct(
        private readonly EntityManagerInterface $em,
    ) {
    }

    public function reset(): void
    {
        $this->roles = [];
    }

    protected function supports(string $attribute, mixed $subject): bool
    {
        return $subject instanceof Workspace && Access::tryFrom($attribute) !== null;
    }

    protected function voteOnAttribute(string $attribute, mixed $subject, TokenInterface $token, ?Vote $vote = null): bool
    {
        $user = $token->getUser();
        if (!$user instanceof User) {
            return false;
        }
        $key = $user->id()->toRfc4122().$subject->id()->toRfc4122();
        $role = $this->roles[$key] ??= $this->em->getRepository(Membership::class)->findOneBy(
            ['user' => $user, 'workspace' => $subject],
        )?->role();

        return match (Access::from($attribute)) {
            Access::Read => $role !== null,
            Access::Write => $role === Role::Lead || $role === Role::Member,
            Access::Lead => $role === Role::Lead,
        };
    }
}
