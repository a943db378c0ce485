<?php

declare(strict_types=1);

namespace Lustrum\Core\Evidence;

/** How far a requirement is shown for a revision. */
enum State: string
{
    case None = 'none';
    /** Under three runs. */
    case Thin = 'thin';
    /** The estimate is on the right side, its bound is not. */
    case Leaning = 'leaning';
    case Shown = 'shown';
    /** The estimate is on the wrong side. */
    case Doubtful = 'doubtful';
    /** So is the bound from the other side: shown not to meet. */
    case Against = 'against';

    /** By the estimate alone at most: nothing is shown while something is missing. */
    public function atBestLeaning(): self
    {
        return $this === self::Shown ? self::Leaning : $this;
    }

    /** Is the estimate on the wrong side, sure or not? */
    public function isWrong(): bool
    {
        return $this === self::Doubtful || $this === self::Against;
    }
}
