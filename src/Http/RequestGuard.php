<?php

declare(strict_types=1);

namespace Lustrum\Http;

use Lustrum\Shared\Limit;
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

    #[AsEventListener(priority: 20)]
    public function onRequest(RequestEvent $event): void
    {
        $request = $event->getRequest();
        if (!$event->isMainRequest() || $request->isMethodSafe() || !str_starts_with($request->getPathInfo(), '/api')) {
            return;
        }
        if (!$this->tokens->isTokenValid(new CsrfToken(self::TOKEN, (string) $request->headers->get('X-Csrf-Token', '')))) {
            $event->setResponse(
                Problem::of(403, 'token', 'This page has been open for too long. Reload it; what you typed is kept.')->response(),
            );

            return;
        }
        self::mustBeTakeable($request);
    }

    #[AsEventListener]
    public function onResponse(ResponseEvent $event): void
    {
        if (!str_starts_with($event->getRequest()->getPathInfo(), '/api')) {
            return;
        }
        $headers = $event->getResponse()->headers;
        $headers->set('X-Content-Type-Options', 'nosniff');
        // What is not said otherwise is not kept: sign-in, people, exports, backups, and every refusal.
        if (!$headers->has(Cached::HEADER)) {
            $headers->set('Cache-Control', 'no-store');
        }
        $headers->remove(Cached::HEADER);
    }

    private static function mustBeTakeable(Request $request): void
    {
        $path = $request->getPathInfo();
        $length = $request->headers->get('Content-Length');
        $type = $request->headers->get('Content-Type', '');
        if (($length === null || $length === '0' || $length === '') && $type === '') {
            return;
        }
        $isForm = str_starts_with((string) $type, 'multipart/form-data');
        if ($isForm ? preg_match('#^/api/(photos|documents|heapfiles)/#', $path) !== 1 : $request->getContentTypeFormat() !== 'json') {
            throw WrongKind::body();
        }
        // A device file is read as a stream; what it may weigh is held by the server before us as well.
        if (str_ends_with($path, '/import')) {
            (int) $length <= Limit::IMPORT_BYTES || throw TooLarge::body(Limit::IMPORT_BYTES);
        } elseif (!$isForm && ((int) $length > Limit::BODY_BYTES || strlen($request->getContent()) > Limit::BODY_BYTES)) {
            throw TooLarge::body(Limit::BODY_BYTES);
        }
    }
}
