<?php

declare(strict_types=1);

namespace Lustrum\Domain\Finding;

enum CauseStanding: string
{
    case Suspected = 'suspected';
    case Supported = 'supported';
    case RuledOut = 'ruledOut';
    case Confirmed = 'confirmed';
}
