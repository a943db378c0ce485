<?php

declare(strict_types=1);

namespace Lustrum\Core\Failure;

/** What a later run says of a failure. */
enum LaterOutcome: string
{
    case Held = 'held';
    case Recurred = 'recurred';
    /** Something else ended the run. */
    case Other = 'other';
}
