<?php

declare(strict_types=1);

namespace Lustrum\Domain\Decision;

/** What was decided. */
enum DecisionKind: string
{
    /** A next build, with the candidates that go in. */
    case Build = 'build';
    /** These contenders go on side by side; nothing is settled between them yet. */
    case Contenders = 'contenders';
    /** Nothing is changed: try more, with the plan. */
    case TryMore = 'tryMore';
}
