<?php

declare(strict_types=1);

namespace Lustrum\Http\Door;

use Lustrum\Http\Cached;
use Lustrum\Http\Problem;
use Lustrum\Shared\Refusal\TooLarge;
use Lustrum\Shared\Refusal\WrongKind;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Event\RequestEvent;
use Symfony\Component\HttpKernel\Event\ResponseEvent;
use Symfony\Component\Security\Csrf\CsrfToken;
use Symfony\Component\Security\Csrf\CsrfTokenManagerInterface;

/** Looks at every request before its body is read: where it comes from, of which kind it is, and its size. */
final readonly class RequestGuard
{
    public const TOKEN = 'api';

    public function __construct(
        private CsrfTokenManagerInterface $tokens,
    ) {
    }

    /** Right behind the router. */
    #[AsEventListener(priority: 20)]
    public function onRequest(RequestEvent $event): void
    {
        $request = $event->getRequest();
        if (!$event->isMainRequest()) {
            return;
        }
        if (!$request->isMethodSafe() && !$this->tokens->isTokenValid(self::tokenOf($request))) {
            $event->setResponse(
                Problem::of(403, 'token', 'This page has been open for too long. Reload it; what you typed is kept.')->response(),
            );

            return;
        }
        self::mustBeTakeable($request, Needs::ofMatched($request)->takes);
    }

    #[AsEventListener]
    public function onResponse(ResponseEvent $event): void
    {
        $headers = $event->getResponse()->headers;
        $headers->set('X-Content-Type-Options', 'nosniff');
        // What is not said otherwise is not kept: sign-in, people, exports, backups, and every refusal.
        if (!$headers->has(Cached::HEADER)) {
            $headers->set('Cache-Control', 'no-store');
        }
        $headers->remove(Cached::HEADER);
    }

    private static function tokenOf(Request $request): CsrfToken
    {
        return new CsrfToken(self::TOKEN, (string) $request->headers->get('X-Csrf-Token', ''));
    }

    private static function mustBeTakeable(Request $request, Takes $takes): void
    {
        $length = (int) $request->headers->get('Content-Length', '0');
        $most = $takes->mostBytes();
        if ($most !== null && $length > $most) {
            throw $most === 0 ? WrongKind::noBody() : TooLarge::body($most);
        }
        $isForm = str_starts_with((string) $request->headers->get('Content-Type', ''), 'multipart/form-data');
        match ($takes) {
            Takes::Nothing => null,
            Takes::Form => $isForm || $length === 0 || throw WrongKind::body(),
            Takes::Json, Takes::DeviceFile => $length === 0 || $request->getContentTypeFormat() === 'json' || throw WrongKind::body(),
        };
        // Whatever was said of its length: this is what is read.
        if ($takes === Takes::Json && strlen($request->getContent()) > $most) {
            throw TooLarge::body((int) $most);
        }
    }
}
