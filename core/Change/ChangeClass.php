<?php

declare(strict_types=1);

namespace Lustrum\Core\Change;

/** What kind of difference a change is. */
enum ChangeClass: string
{
    case Shape = 'shape';
    case Strength = 'strength';
    case Electrical = 'electrical';
    case Firmware = 'firmware';
    case Material = 'material';
    case Process = 'process';
    case Setting = 'setting';
    case Cosmetic = 'cosmetic';
}
