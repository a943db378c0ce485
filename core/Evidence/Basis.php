<?php

declare(strict_types=1);

namespace Lustrum\Core\Evidence;

/** By which method a bound was worked out. */
enum Basis: string
{
    /** One-sided t bound of a mean. */
    case TBound = 'tBound';
    /** One-sided normal tolerance bound: nearly every article. */
    case ToleranceBound = 'toleranceBound';
    /** One-sided exact bound of a share (Clopper and Pearson 1934). */
    case ExactShare = 'exactShare';
    /** Values and bounds together, by the likelihood. */
    case Censored = 'censored';
    /** One-sided exact bound of a mean of counts. */
    case Count = 'count';
    /** One-sided χ² bound of a standard deviation. */
    case Spread = 'spread';
    /** Worked out from the build as it is drawn; nothing was measured. */
    case Drawn = 'drawn';

    /** Which explanation of the guide tells how it works. */
    public function explanation(): string
    {
        return match ($this) {
            self::TBound => 'stats.describe',
            self::ToleranceBound => 'stats.tolerance',
            self::ExactShare => 'stats.proportion',
            self::Censored => 'stats.censored',
            self::Spread, self::Count, self::Drawn => 'evidence.assess',
        };
    }
}
