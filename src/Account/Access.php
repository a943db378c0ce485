<?php

declare(strict_types=1);

namespace Lustrum\Account;

/** What is asked of a workspace. */
enum Access: string
{
    case Read = 'workspace.read';
    case Write = 'workspace.write';
    case Lead = 'workspace.lead';
}
