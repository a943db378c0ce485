<?php

declare(strict_types=1);

namespace Lustrum\Http\Account;

use Lustrum\Http\Problem;
use Lustrum\Http\Record\RecordRoutes;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Event\RequestEvent;

/**
 * A place whose device was handed to a rater: it reaches the codes of one panel and nothing else, until the member's password
 * is given. What the browser shows does not matter; this stands on the server, in the place's own row.
 */
final readonly class HandedOver
{
    public function __construct(
        private SessionGuard $sessions,
    ) {
    }

    /** Behind the one that ends sessions. */
    #[AsEventListener(priority: 4)]
    public function onRequest(RequestEvent $event): void
    {
        $panel = $event->isMainRequest() ? $this->sessions->here($event->getRequest())?->handedOverFor() : null;
        if ($panel !== null && !self::mayGo($event->getRequest(), $panel->toRfc4122())) {
            $event->setResponse(Problem::of(
                403, 'handed-over', 'This device was handed to a rater. Whoever handed it over takes it back with a password.',
            )->response());
        }
    }

    /** By the route that was matched; what is not named here is closed. */
    private static function mayGo(Request $request, string $panel): bool
    {
        return match ($request->attributes->get('_route')) {
            AccountController::SESSION, AccountController::SIGN_OUT => true,
            'panel_rate', 'panel_take_back' => $request->attributes->get('id') === $panel,
            RecordRoutes::PUT.'sheet' => self::isOf($request, $panel),
            default => false,
        };
    }

    /** Is it a sheet of this panel that is sent? */
    private static function isOf(Request $request, string $panel): bool
    {
        $body = json_decode($request->getContent(), true);

        return is_array($body) && ($body['panel'] ?? null) === $panel && !isset($body['version']);
    }
}
