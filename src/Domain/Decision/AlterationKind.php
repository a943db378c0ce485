<?php

declare(strict_types=1);

namespace Lustrum\Domain\Decision;

/** What of a build a candidate would alter. */
enum AlterationKind: string
{
    case Parameter = 'parameter';
    /** A part put in or taken out. */
    case Part = 'part';
    case Material = 'material';
    case Firmware = 'firmware';
    case Setting = 'setting';

    /** As changes call it: 'parameter:gap', 'part:bracket', 'firmware'. */
    public function of(string $name): string
    {
        return match ($this) {
            self::Firmware => 'firmware',
            self::Material => 'part:'.$name,
            default => $this->value.':'.$name,
        };
    }
}
