<?php

declare(strict_types=1);

namespace Lustrum\Core\Evidence;

/** How a requirement counts as shown. */
enum Kind: string
{
    /** The mean over runs is beyond the limit. */
    case Mean = 'mean';
    /** (Nearly) every article is beyond the limit. */
    case Every = 'every';
    /** A share of tries holds, at least the limit. */
    case Rate = 'rate';
    /** People's ratings: as the mean. */
    case Rating = 'rating';
    /** It was looked at and is so: each check holds. */
    case Check = 'check';
    /** The standard deviation of repeats, articles, places or people is beyond the limit. */
    case Spread = 'spread';
}
