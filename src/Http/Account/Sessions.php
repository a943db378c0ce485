<?php

declare(strict_types=1);

namespace Lustrum\Http\Account;

use Symfony\Component\HttpFoundation\Session\Storage\Handler\PdoSessionHandler;

/**
 * Sessions in the database, of which an unchanged one costs no write: a session's own note of when it was last used
 * moves once an hour, and with it the session is written and its life begins anew.
 */
final class Sessions extends PdoSessionHandler
{
    public function updateTimestamp(#[\SensitiveParameter] string $sessionId, string $data): bool
    {
        return true;
    }
}
