<?php

declare(strict_types=1);

namespace Lustrum\Http\Account;

use Doctrine\ORM\EntityManagerInterface;
use Lustrum\Account\CurrentPlace;
use Lustrum\Account\SignedIn;
use Lustrum\Account\User;
use Lustrum\Core\Wording\AccountWords;
use Lustrum\Http\Door\Needs;
use Lustrum\Http\Door\Who;
use Symfony\Component\Clock\ClockInterface;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Event\RequestEvent;
use Symfony\Component\Security\Core\Authentication\Token\Storage\TokenStorageInterface;
use Symfony\Component\Security\Core\Authentication\Token\TokenInterface;
use Symfony\Component\Security\Core\Exception\AccessDeniedException;
use Symfony\Component\Security\Http\Event\LoginSuccessEvent;
use Symfony\Component\Uid\Uuid;

/**
 * Ends sessions: those that were signed out from elsewhere, idle ones, and old ones. Each session names its entry in the
 * list of places where somebody is signed in; without that entry it is over. What a session may do lies in that row, read
 * with every request and written alone: sessions themselves are written by many requests at once, and the last one wins.
 */
final readonly class SessionGuard
{
    /** At a request: why its session is over, where there is something to say. */
    public const NOTICE = '_session_notice';

    public function __construct(
        private EntityManagerInterface $em,
        private TokenStorageInterface $tokens,
        private CurrentPlace $current,
        private ClockInterface $clock,
    ) {
    }

    /** Enters the place where somebody just signed in. */
    public function begin(TokenInterface $token, User $user, Request $request): void
    {
        $place = new SignedIn($user, mb_substr((string) $request->headers->get('User-Agent', ''), 0, 200), $this->clock->now(), (string) $request->getClientIp());
        $this->em->persist($place);
        $this->em->flush();
        $token->setAttribute(CurrentPlace::ATTRIBUTE, $place->id()->toRfc4122());
    }

    /**
     * Whoever signs in where somebody is signed in already, themselves too: the place before is given up, and the session
     * goes on under another identifier, so that whoever knew the one before knows nothing.
     */
    #[AsEventListener]
    public function again(LoginSuccessEvent $event): void
    {
        $this->give($this->current->of($event->getPreviousToken()));
        if ($event->getRequest()->hasSession()) {
            $event->getRequest()->getSession()->migrate(true);
        }
    }

    /** Right behind the firewall, which knows by then who it is. */
    #[AsEventListener(priority: 5)]
    public function onRequest(RequestEvent $event): void
    {
        $request = $event->getRequest();
        if (!$event->isMainRequest() || !$request->hasPreviousSession()) {
            return;
        }
        $token = $this->tokens->getToken();
        if ($token === null || !$token->getUser() instanceof User) {
            return;
        }
        $place = $this->current->of($token);
        $now = $this->clock->now();
        if ($place === null || $place->user() !== $token->getUser() || $place->isOver($now)) {
            if ($place?->endedByPassword() === true) {
                $request->attributes->set(self::NOTICE, AccountWords::passwordChanged());
            }
            $this->end();
            $this->tokens->setToken(null);
            $request->getSession()->invalidate();
            self::mustBeOpen($request);

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
    private static function mustBeOpen(Request $request): void
    {
        if (Needs::ofMatched($request)->who !== Who::Anyone) {
            throw new AccessDeniedException();
        }
    }

    /** The place of this session is given up. */
    public function end(): void
    {
        $this->give($this->current->place());
    }

    /** The place that a request comes from; null: nobody is signed in there. */
    public function here(Request $request): ?SignedIn
    {
        return $request->hasPreviousSession() ? $this->current->place() : null;
    }

    public function isHere(SignedIn $place): bool
    {
        return $this->current->place() === $place;
    }

    /**
     * From here on this place reaches nothing but one panel's codes; null: everything again. Written by itself, at once:
     * whoever asks after the answer to this finds it.
     */
    public function handOver(?Uuid $panel): void
    {
        $place = $this->current->place();
        if ($place !== null) {
            $this->em->getConnection()->executeStatement(
                'UPDATE signed_in SET handed_over_for = ? WHERE id = ?', [$panel?->toRfc4122(), $place->id()->toRfc4122()],
            );
            $this->em->refresh($place);
        }
    }

    private function give(?SignedIn $place): void
    {
        if ($place !== null) {
            $this->em->remove($place);
            $this->em->flush();
        }
    }
}
