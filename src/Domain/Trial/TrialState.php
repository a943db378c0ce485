<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

enum TrialState: string
{
    case Planned = 'planned';
    case Running = 'running';
    case Done = 'done';
}
