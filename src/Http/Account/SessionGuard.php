<?php

declare(strict_types=1);

namespace Lustrum\Http\Account;

use Doctrine\ORM\EntityManagerInterface;
use Lustrum\Account\SignedIn;
use Lustrum\Account\User;
use Symfony\Component\Clock\ClockInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Event\RequestEvent;
use Symfony\Component\Security\Core\Authentication\Token\Storage\TokenStorageInterface;
use Symfony\Component\Security\Core\Authentication\Token\TokenInterface;
use Symfony\Component\Security\Core\Authorization\Voter\AuthenticatedVoter;
use Symfony\Component\Security\Core\Exception\AccessDeniedException;
use Symfony\Component\Security\Http\AccessMapInterface;
use Symfony\Component\Uid\Uuid;

/**
 * Ends sessions: those that were signed out from elsewhere, idle ones, and old ones. Each session names its entry in the
 * list of places where somebody is signed in; without that entry it is over.
 */
final readonly class SessionGuard
{
    public const PLACE = 'signed_in';

    public function __construct(
        private EntityManagerInterface $em,
        private TokenStorageInterface $tokens,
        private ClockInterface $clock,
        #[Autowire(service: 'security.access_map')]
        private AccessMapInterface $map,
    ) {
    }

    /** Enters the place where somebody just signed in. */
    public function begin(TokenInterface $token, User $user, Request $request): void
    {
        $place = new SignedIn($user, mb_substr((string) $request->headers->get('User-Agent', ''), 0, 200), $this->clock->now());
        $this->em->persist($place);
        $this->em->flush();
        $token->setAttribute(self::PLACE, $place->id()->toRfc4122());
    }

    /** Right behind the firewall, which knows by then who it is. */
    #[AsEventListener(priority: 5)]
    public function onRequest(RequestEvent $event): void
    {
        if (!$event->isMainRequest() || !str_starts_with($event->getRequest()->getPathInfo(), '/api') || !$event->getRequest()->hasPreviousSession()) {
            return;
        }
        $token = $this->tokens->getToken();
        if ($token === null || !$token->getUser() instanceof User) {
            return;
        }
        $place = $this->place($token);
        $now = $this->clock->now();
        if ($place === null || $place->user() !== $token->getUser() || $place->isOver($now)) {
            $this->end();
            $this->tokens->setToken(null);
            $event->getRequest()->getSession()->invalidate();
            $this->askAgain($event->getRequest());

            return;
        }
        if ($place->seen($now)) {
            $this->em->flush();
        }
    }

    /**
     * The firewall let this request through as somebody; nobody may only go where everybody may.
     *
     * @throws AccessDeniedException which without anybody signed in is answered with 401
     */
    private function askAgain(Request $request): void
    {
        [$attributes] = $this->map->getPatterns($request);
        if ($attributes !== null && !in_array(AuthenticatedVoter::PUBLIC_ACCESS, $attributes, true)) {
            throw new AccessDeniedException();
        }
    }

    /** The place of this session is given up. */
    public function end(): void
    {
        $place = $this->place($this->tokens->getToken());
        if ($place !== null) {
            $this->em->remove($place);
            $this->em->flush();
        }
    }

    public function isHere(SignedIn $place): bool
    {
        return $this->place($this->tokens->getToken()) === $place;
    }

    /** After a change of password the token bears the new one, or the next request would be nobody's. */
    public function renew(User $user): void
    {
        $token = $this->tokens->getToken();
        if ($token !== null) {
            $token->setUser($user);
            $this->tokens->setToken($token);
        }
    }

    private function place(?TokenInterface $token): ?SignedIn
    {
        $id = $token !== null && $token->hasAttribute(self::PLACE) ? $token->getAttribute(self::PLACE) : null;

        return is_string($id) && Uuid::isValid($id) ? $this->em->find(SignedIn::class, $id) : null;
    }
}
