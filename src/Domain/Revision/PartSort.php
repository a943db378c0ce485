<?php

declare(strict_types=1);

namespace Lustrum\Domain\Revision;

enum PartSort: string
{
    case Part = 'part';
    case Joint = 'joint';
    case Code = 'code';
}
