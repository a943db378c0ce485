<?php

declare(strict_types=1);

namespace Lustrum\Account;

use Doctrine\ORM\Mapping as ORM;
use Symfony\Bridge\Doctrine\Types\UuidType;
use Symfony\Component\Uid\Uuid;

/** A person's place in a workspace. */
#[ORM\Entity]
#[ORM\UniqueConstraint(columns: ['workspace_id', 'user_id'])]
class Membership
{
    #[ORM\Id]
    #[ORM\Column(type: UuidType::NAME)]
    private Uuid $id;

    public function __construct(
        #[ORM\ManyToOne(fetch: 'EAGER')]
        #[ORM\JoinColumn(nullable: false)]
        private Workspace $workspace,
        #[ORM\ManyToOne(fetch: 'EAGER')]
        #[ORM\JoinColumn(nullable: false)]
        private User $user,
        #[ORM\Column(length: 10)]
        private Role $role,
    ) {
        $this->id = Uuid::v7();
    }

    public function id(): Uuid
    {
        return $this->id;
    }

    public function workspace(): Workspace
    {
        return $this->workspace;
    }

    public function user(): User
    {
        return $this->user;
    }

    public function role(): Role
    {
        return $this->role;
    }

    public function become(Role $role): void
    {
        $this->role = $role;
    }

    public function view(): MemberView
    {
        return new MemberView($this->user->id()->toRfc4122(), $this->user->name(), $this->user->email(), $this->role);
    }
}
