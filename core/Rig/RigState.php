<?php

declare(strict_types=1);

namespace Lustrum\Core\Rig;

/** How a setting stands before a run. */
enum RigState: string
{
    /** Found on this run, and as it was meant. */
    case AsMeant = 'asMeant';
    /** Found on this run, and not as it was meant. */
    case Off = 'off';
    /** Somebody looked and could not say. */
    case NotKnown = 'notKnown';
    /** Found before, and nothing has happened to the article since. */
    case Stands = 'stands';
    /** Found before, but not as it was meant, and nothing has happened since. */
    case StandsOff = 'standsOff';
    /** Found before, and something has happened since. */
    case Lapsed = 'lapsed';
    /** Nobody ever looked. */
    case Never = 'never';

    /** Does somebody have to look before the run? */
    public function asks(): bool
    {
        return in_array($this, [self::StandsOff, self::Lapsed, self::Never], true);
    }

    public function isMismatch(): bool
    {
        return in_array($this, [self::Off, self::StandsOff, self::Lapsed], true);
    }
}
