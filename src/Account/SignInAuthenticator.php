<?php

declare(strict_types=1);

namespace Lustrum\Account;

use Lustrum\Http\Problem;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Security\Core\Authentication\Token\TokenInterface;
use Symfony\Component\Security\Core\Exception\AuthenticationException;
use Symfony\Component\Security\Core\Exception\CustomUserMessageAuthenticationException;
use Symfony\Component\Security\Http\Authenticator\AbstractAuthenticator;
use Symfony\Component\Security\Http\Authenticator\Passport\Badge\UserBadge;
use Symfony\Component\Security\Http\Authenticator\Passport\Credentials\PasswordCredentials;
use Symfony\Component\Security\Http\Authenticator\Passport\Passport;
use Symfony\Component\Security\Http\EntryPoint\AuthenticationEntryPointInterface;

/** Signing in with e-mail and password, over JSON. */
final class SignInAuthenticator extends AbstractAuthenticator implements AuthenticationEntryPointInterface
{
    private const WRONG = 'That e-mail and password do not belong together.';
    private const CLOSED = 'Too many tries. Wait a quarter of an hour and try again.';

    public function __construct(
        private readonly SignInThrottle $throttle,
    ) {
    }

    public function supports(Request $request): bool
    {
        return $request->getPathInfo() === '/api/session' && $request->isMethod('POST');
    }

    public function authenticate(Request $request): Passport
    {
        $email = self::email($request);
        $password = $request->getPayload()->get('password');
        if ($this->throttle->isClosed($email, (string) $request->getClientIp())) {
            throw new CustomUserMessageAuthenticationException(self::CLOSED);
        }
        if ($email === '' || strlen($email) > 180 || !is_string($password) || $password === '' || strlen($password) > 4096) {
            throw new CustomUserMessageAuthenticationException(self::WRONG);
        }

        return new Passport(new UserBadge($email), new PasswordCredentials($password));
    }

    /** No answer yet: the session gets a new token once this returns, and the controller tells that one. */
    public function onAuthenticationSuccess(Request $request, TokenInterface $token, string $firewallName): ?Response
    {
        $this->throttle->succeeded(self::email($request));

        return null;
    }

    public function onAuthenticationFailure(Request $request, AuthenticationException $exception): Response
    {
        $closed = $exception instanceof CustomUserMessageAuthenticationException && $exception->getMessageKey() === self::CLOSED;
        if (!$closed) {
            $this->throttle->failed(self::email($request), (string) $request->getClientIp());
        }

        return $closed ? self::answer(Problem::of(429, 'throttled', self::CLOSED)) : self::answer(Problem::of(401, 'wrong-password', self::WRONG));
    }

    public function start(Request $request, ?AuthenticationException $authException = null): Response
    {
        return self::answer(Problem::of(401, 'signed-out', 'You are signed out. Sign in again; what you typed is kept.'));
    }

    private static function answer(Problem $problem): Response
    {
        return new JsonResponse($problem->document(), $problem->status, ['Content-Type' => 'application/problem+json']);
    }

    private static function email(Request $request): string
    {
        $email = $request->getPayload()->get('email');

        return is_string($email) ? mb_strtolower(trim($email)) : '';
    }
}
