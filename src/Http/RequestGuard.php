<?php

declare(strict_types=1);

namespace Lustrum\Http;

use Lustrum\Record\Limit;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Event\RequestEvent;
use Symfony\Component\HttpKernel\Event\ResponseEvent;
use Symfony\Component\Security\Csrf\CsrfToken;
use Symfony\Component\Security\Csrf\CsrfTokenManagerInterface;

/** Looks at every request before anything else does: its token, its size, and that its texts can be stored. */
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
            throw Problem::of(403, 'token', 'This page has been open for too long. Reload it; what you typed is kept.');
        }
        if ($request->getContentTypeFormat() === 'json' && !($request->isMethod('DELETE') && $request->getContent() === '')) {
            self::mustBeStorable($request);
        }
    }

    #[AsEventListener]
    public function onResponse(ResponseEvent $event): void
    {
        if (str_starts_with($event->getRequest()->getPathInfo(), '/api')) {
            $headers = $event->getResponse()->headers;
            $headers->set('X-Content-Type-Options', 'nosniff');
            if (!$headers->has('X-Keep')) {
                $headers->set('Cache-Control', 'no-store');
            }
            $headers->remove('X-Keep');
        }
    }

    private static function mustBeStorable(Request $request): void
    {
        $limit = str_contains($request->getPathInfo(), '/import') ? 60_000_000 : Limit::BODY_BYTES;
        $body = $request->getContent();
        if (strlen($body) > $limit) {
            throw Problem::of(413, 'too-large', sprintf('This is larger than %d MB, which is the most that can be sent at once. Nothing was saved.', intdiv($limit, 1_000_000)));
        }
        $decoded = json_decode($body, true, 64);
        if (json_last_error() !== JSON_ERROR_NONE || !is_array($decoded)) {
            throw Problem::of(400, 'not-json', 'The request could not be read: it is not valid JSON. Nothing was saved.');
        }
        array_walk_recursive($decoded, static function (mixed $value, int|string $key): void {
            if (is_string($value) && str_contains($value, "\0")) {
                throw Problem::violation((string) $key, 'There is a character in this text that cannot be stored (a null). Take it out.');
            }
            if (is_float($value) && !is_finite($value)) {
                throw Problem::violation((string) $key, 'This number is larger than can be kept (1e300 at most).');
            }
        });
    }
}
