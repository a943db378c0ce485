<?php

declare(strict_types=1);

namespace Lustrum\Account;

/** What a person may do in a workspace. */
enum Role: string
{
    /** Everything, and who else is in. */
    case Lead = 'lead';
    /** Everything but the people. */
    case Member = 'member';
    /** Look only. */
    case Viewer = 'viewer';
}
