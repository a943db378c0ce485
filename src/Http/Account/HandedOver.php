<?php

declare(strict_types=1);

namespace Lustrum\Http\Account;

use Lustrum\Http\Problem;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\RequestStack;
use Symfony\Component\HttpFoundation\Session\SessionInterface;
use Symfony\Component\HttpKernel\Event\RequestEvent;

/**
 * A session whose device was handed to a rater: it reaches the codes of one panel and nothing else, until the member's password
 * is given. What the browser shows does not matter; this stands on the server.
 */
final readonly class HandedOver
{
    private const PANEL = 'handed_over_for';

    public function __construct(
        private RequestStack $requests,
    ) {
    }

    public function over(string $panel): void
    {
        $this->requests->getSession()->set(self::PANEL, $panel);
    }

    public function back(): void
    {
        $this->requests->getSession()->remove(self::PANEL);
    }

    /** The panel that this session is limited to; null: it is not. */
    public function panel(): ?string
    {
        $request = $this->requests->getMainRequest();

        return $request === null || !$request->hasPreviousSession() ? null : self::of($request->getSession());
    }

    /** Behind the one that ends sessions. */
    #[AsEventListener(priority: 4)]
    public function onRequest(RequestEvent $event): void
    {
        $request = $event->getRequest();
        if (!$event->isMainRequest() || !str_starts_with($request->getPathInfo(), '/api') || !$request->hasPreviousSession()) {
            return;
        }
        $panel = self::of($request->getSession());
        if ($panel !== null && !self::mayGo($request, $panel)) {
            $event->setResponse(Problem::of(
                403, 'handed-over', 'This device was handed to a rater. Whoever handed it over takes it back with a password.',
            )->response());
        }
    }

    private static function mayGo(Request $request, string $panel): bool
    {
        $path = $request->getPathInfo();

        return match ($request->getMethod()) {
            'GET', 'HEAD' => in_array($path, ['/api/session', '/api/panels/'.$panel.'/rate'], true),
            'DELETE' => $path === '/api/session',
            'POST' => $path === '/api/panels/'.$panel.'/take-back',
            'PUT' => preg_match('#^/api/sheets/[0-9a-f-]{36}$#', $path) === 1 && self::isOf($request, $panel),
            default => false,
        };
    }

    /** Is it a sheet of this panel that is sent? */
    private static function isOf(Request $request, string $panel): bool
    {
        $body = json_decode($request->getContent(), true);

        return is_array($body) && ($body['panel'] ?? null) === $panel && !isset($body['version']);
    }

    private static function of(SessionInterface $session): ?string
    {
        $panel = $session->get(self::PANEL);

        return is_string($panel) ? $panel : null;
    }
}
