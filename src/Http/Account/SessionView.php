<?php

declare(strict_types=1);

namespace Lustrum\Http\Account;

use Lustrum\Account\WorkspaceView;

/** Who is signed in, if anybody, and the token that every write carries. */
final readonly class SessionView
{
    /**
     * @param list<WorkspaceView> $workspaces
     * @param string|null         $panel      the device was handed to a rater of this panel, and reaches nothing else
     * @param string|null         $seal       with which this device seals what waits on it when this person signs out
     * @param string              $notice     why the session is over, in a sentence; empty: nothing is to be said of it
     * @param bool                $empty      nobody has an account yet: the first one can be made
     */
    public function __construct(
        public ?string $name,
        public ?string $email,
        public array $workspaces,
        public string $token,
        public bool $empty,
        public ?string $panel,
        #[\SensitiveParameter]
        public ?string $seal,
        public string $notice,
    ) {
    }
}
