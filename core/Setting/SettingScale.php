<?php

declare(strict_types=1);

namespace Lustrum\Core\Setting;

/** On which scale the middle of two settings lies. */
enum SettingScale: string
{
    case Linear = 'linear';
    case Log = 'log';
    /** A diameter that acts by its area. */
    case Area = 'area';

    public function middle(float $a, float $b): float
    {
        return match ($this) {
            self::Linear => ($a + $b) / 2,
            self::Log => sqrt($a * $b),
            self::Area => sqrt(($a ** 2 + $b ** 2) / 2),
        };
    }
}
