<?php

declare(strict_types=1);

namespace Lustrum\Core\Run;

/** In what an article differs from its build. */
enum DeviationKind: string
{
    case Part = 'part';
    case Parameter = 'parameter';
    case Lot = 'lot';
    case Workmanship = 'workmanship';
    case Firmware = 'firmware';
}
