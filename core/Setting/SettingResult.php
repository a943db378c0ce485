<?php

declare(strict_types=1);

namespace Lustrum\Core\Setting;

/** Where a setting that was tried stands. */
enum SettingResult: string
{
    case Low = 'low';
    case High = 'high';
    case Good = 'good';
}
