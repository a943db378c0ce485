<?php

declare(strict_types=1);

namespace Lustrum\Domain\Device;

/** What kind of values a metric takes. */
enum Scale: string
{
    case Numeric = 'numeric';
    case Count = 'count';
    case Share = 'share';
    /** Held or failed, looked at or not. */
    case Check = 'check';
    /** Words in an order. */
    case Ordered = 'ordered';
    /** A ratio: a number without a unit. */
    case Plain = 'plain';
}
