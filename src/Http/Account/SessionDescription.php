<?php

declare(strict_types=1);

namespace Lustrum\Http\Account;

use Doctrine\ORM\EntityManagerInterface;
use Lustrum\Account\Membership;
use Lustrum\Account\User;
use Lustrum\Account\WorkspaceView;
use Lustrum\Http\Door\RequestGuard;
use Symfony\Component\HttpFoundation\RequestStack;
use Symfony\Component\Security\Csrf\CsrfTokenManagerInterface;

final readonly class SessionDescription
{
    public function __construct(
        private EntityManagerInterface $em,
        private CsrfTokenManagerInterface $tokens,
        private SessionGuard $sessions,
        private RequestStack $requests,
    ) {
    }

    public function of(?User $user): SessionView
    {
        $memberships = $user === null ? [] : $this->em->getRepository(Membership::class)->findBy(['user' => $user], ['id' => 'ASC']);

        $panel = $user === null ? null : $this->handedOverFor();
        $notice = $this->requests->getMainRequest()?->attributes->get(SessionGuard::NOTICE);

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
            $panel, $user === null || $panel !== null ? null : $user->seal(), is_string($notice) ? $notice : '',
        );
    }

    private function handedOverFor(): ?string
    {
        $request = $this->requests->getMainRequest();

        return $request === null ? null : $this->sessions->here($request)?->handedOverFor()?->toRfc4122();
    }
}
