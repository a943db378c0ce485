<?php

declare(strict_types=1);

namespace Lustrum\Http\Door;

use Lustrum\Http\Problem;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\RequestEvent;

/**
 * Refuses addresses that are not written plainly, before any is matched: one address is one text, and whoever looks at it
 * (this, nginx, a proxy in between) sees the same. The server before us says so too (deploy/nginx.conf).
 */
final readonly class PlainAddress
{
    /** Each part begins with a letter, a digit, _ or -; nothing is encoded, doubled, empty or a step up. */
    public const PATTERN = '#^/api(/[A-Za-z0-9_-][A-Za-z0-9._-]*)+$#D';

    #[AsEventListener(priority: 512)]
    public function onRequest(RequestEvent $event): void
    {
        $asked = $event->getRequest()->server->get('REQUEST_URI');
        $path = is_string($asked) ? explode('?', $asked, 2)[0] : '';
        if ($event->isMainRequest() && preg_match(self::PATTERN, $path) !== 1) {
            $event->setResponse(Problem::of(
                400, 'address', 'There is nothing at this address: it is not written plainly, in letters, digits, dots and dashes.',
            )->response());
        }
    }
}
