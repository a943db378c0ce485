<?php

declare(strict_types=1);

namespace Lustrum\Http\Account;

use Doctrine\ORM\EntityManagerInterface;
use Lustrum\Account\Membership;
use Lustrum\Account\User;
use Lustrum\Account\WorkspaceView;
use Lustrum\Http\RequestGuard;
use Symfony\Component\Security\Csrf\CsrfTokenManagerInterface;

final readonly class SessionDescription
{
    public function __construct(
        private EntityManagerInterface $em,
        private CsrfTokenManagerInterface $tokens,
        private HandedOver $handed,
    ) {
    }

    public function of(?User $user): SessionView
    {
        $memberships = $user === null ? [] : $this->em->getRepository(Membership::class)->findBy(['user' => $user], ['id' => 'ASC']);

        return new SessionView(
            $user?->name(),
            $user?->email(),
            array_values(
                array_map(
                    static fn (Membership $m): WorkspaceView => new WorkspaceView(
                        $m->workspace()->id()->toRfc4122(), $m->workspace()->name(), $m->role(),
                    ),
                    $memberships,
                ),
            ),
            $this->tokens->getToken(RequestGuard::TOKEN)->getValue(),
            $user === null && $this->em->getRepository(User::class)->count() === 0,
            $user === null ? null : $this->handed->panel(),
        );
    }
}
