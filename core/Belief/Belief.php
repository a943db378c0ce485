<?php

declare(strict_types=1);

namespace Lustrum\Core\Belief;

/**
 * Where an assumption stands. Findings decide it and nobody else does: one that speaks against it overturns it, whatever
 * spoke for it before, since what holds only sometimes may not be relied on.
 */
enum Belief: string
{
    case Believed = 'believed';
    /** It was looked at, and is not settled. */
    case Checked = 'checked';
    case Upheld = 'upheld';
    case Overturned = 'overturned';

    /** @param list<Weight> $findings */
    public static function of(array $findings): self
    {
        return match (true) {
            in_array(Weight::Against, $findings, true) => self::Overturned,
            in_array(Weight::For, $findings, true) => self::Upheld,
            $findings !== [] => self::Checked,
            default => self::Believed,
        };
    }

    public function isSettled(): bool
    {
        return $this === self::Upheld || $this === self::Overturned;
    }
}
