<?php

declare(strict_types=1);

namespace Lustrum\Http\Account;

use Doctrine\ORM\EntityManagerInterface;
use Lustrum\Account\Membership;
use Lustrum\Account\SignInThrottle;
use Lustrum\Account\User;
use Lustrum\Http\Problem;
use Lustrum\Record\History;
use Lustrum\Shared\Refusal\TooOften;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\PasswordHasher\Hasher\PasswordHasherFactoryInterface;
use Symfony\Component\Security\Core\Authentication\Token\TokenInterface;
use Symfony\Component\Security\Core\Exception\AuthenticationException;
use Symfony\Component\Security\Core\Exception\CustomUserMessageAuthenticationException;
use Symfony\Component\Security\Http\Authenticator\AbstractAuthenticator;
use Symfony\Component\Security\Http\Authenticator\Passport\Badge\UserBadge;
use Symfony\Component\Security\Http\Authenticator\Passport\Credentials\CustomCredentials;
use Symfony\Component\Security\Http\Authenticator\Passport\Passport;
use Symfony\Component\Security\Http\EntryPoint\AuthenticationEntryPointInterface;

/** Signing in with e-mail and password, over JSON. */
final class SignInAuthenticator extends AbstractAuthenticator implements AuthenticationEntryPointInterface
{
    private const WRONG = 'That e-mail and password do not belong together.';

    public function __construct(
        private readonly SignInThrottle $throttle,
        private readonly EntityManagerInterface $em,
        private readonly PasswordHasherFactoryInterface $hashers,
        private readonly SessionGuard $guard,
        private readonly History $history,
    ) {
    }

    public function supports(Request $request): bool
    {
        return $request->attributes->get('_route') === AccountController::SIGN_IN;
    }

    public function authenticate(Request $request): Passport
    {
        $email = self::email($request);
        $password = $request->getPayload()->all()['password'] ?? null;
        $wait = $this->throttle->attempt($email, (string) $request->getClientIp());
        if ($wait > 0) {
            throw TooOften::signingIn($wait);
        }
        if ($email === '' || strlen($email) > 180 || !is_string($password) || $password === '' || strlen($password) > 4096) {
            throw new CustomUserMessageAuthenticationException(self::WRONG);
        }
        $user = $this->em->getRepository(User::class)->findOneBy(['email' => $email]);
        $hasher = $this->hashers->getPasswordHasher(User::class);
        if ($user === null) {
            // As much work as for somebody who is known, so that the time does not tell the two apart.
            $hasher->hash($password);
            throw new CustomUserMessageAuthenticationException(self::WRONG);
        }

        return new Passport(
            new UserBadge($email, static fn (): User => $user),
            new CustomCredentials(static fn (): bool => $hasher->verify($user->getPassword(), $password), null),
        );
    }

    /** No answer yet: the controller tells who it is. */
    public function onAuthenticationSuccess(Request $request, TokenInterface $token, string $firewallName): ?Response
    {
        $user = $token->getUser();
        if ($user instanceof User) {
            $this->throttle->succeeded($user->email(), (string) $request->getClientIp());
            foreach ($this->em->getRepository(Membership::class)->findBy(['user' => $user]) as $membership) {
                $this->history->happened(
                    'sign-in', $user->id(), $membership->workspace(), $user->name(), ['address' => (string) $request->getClientIp()],
                );
            }
            $this->guard->begin($token, $user, $request);
        }

        return null;
    }

    public function onAuthenticationFailure(Request $request, AuthenticationException $exception): Response
    {
        return Problem::of(401, 'wrong-password', self::WRONG)->response();
    }

    public function start(Request $request, ?AuthenticationException $authException = null): Response
    {
        $notice = $request->attributes->get(SessionGuard::NOTICE);

        return (is_string($notice)
            ? Problem::of(401, 'password-changed', $notice)
            : Problem::of(401, 'signed-out', 'You are signed out. Sign in again; what you typed is kept.'))->response();
    }

    private static function email(Request $request): string
    {
        $email = $request->getPayload()->all()['email'] ?? null;

        return is_string($email) ? mb_strtolower(trim($email)) : '';
    }
}
