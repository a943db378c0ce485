<?php

declare(strict_types=1);

namespace Lustrum\Core\Evidence;

/** On which side of its limit a requirement is met. */
enum Direction: string
{
    case AtLeast = 'atLeast';
    case AtMost = 'atMost';

    public function met(float $value, float $limit): bool
    {
        return $this === self::AtLeast ? $value >= $limit : $value <= $limit;
    }

    /** +1 when more is better, −1 when less is. */
    public function sign(): int
    {
        return $this === self::AtLeast ? 1 : -1;
    }
}
