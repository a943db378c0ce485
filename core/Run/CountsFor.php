<?php

declare(strict_types=1);

namespace Lustrum\Core\Run;

/** What a run counts for: said here, and nowhere else. */
enum CountsFor: string
{
    /** It has not ended. */
    case Open = 'open';
    /** It enters estimates, shares and states, and takes its place in a plan. */
    case Result = 'result';
    /** It wore its article: to settle or flush something, or shown to onlookers. */
    case Wear = 'wear';
    case Practice = 'practice';
    /** Its cause lies in how it was made or tried. */
    case Aside = 'aside';
    /** In handling: its place in the plan stays open. */
    case Lost = 'lost';
    case Void = 'void';
    /** The rig alone, or a reference article: no run of the build. */
    case Rig = 'rig';

    public static function of(?RunOutcome $outcome, Purpose $purpose, bool $isAside): self
    {
        return match (true) {
            $purpose === Purpose::Reference, $purpose === Purpose::Empty => self::Rig,
            $outcome === null => self::Open,
            $outcome === RunOutcome::Void => self::Void,
            $outcome === RunOutcome::Lost => self::Lost,
            $isAside => self::Aside,
            $purpose === Purpose::Practise => self::Practice,
            $purpose === Purpose::FindOut => self::Result,
            default => self::Wear,
        };
    }
}
