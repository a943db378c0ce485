<?php

declare(strict_types=1);

namespace Lustrum\Core\Plan;

/** How the runs of a trial are laid out. */
enum PlanKind: string
{
    /** As one goes: a number of runs and nothing more. */
    case Free = 'free';
    /** One factor, its mild end first, each rung repeated before the next. */
    case Ladder = 'ladder';
    /** One factor, up after a hold and down after a failure, so that the level at which it gives way is found with few runs. */
    case Staircase = 'staircase';
    /** One factor over several levels. */
    case Sweep = 'sweep';
    /** All combinations of several factors and variants. */
    case Matrix = 'matrix';
    /** Two variants, or two levels, side by side in every pair. */
    case Pairs = 'pairs';
    /** As long as is said, again and again; what varies may vary. */
    case Timed = 'timed';
    /** Every question of the method, asked once of each article. */
    case Checks = 'checks';
    /** One setting, from its untried ends to the middle, until it is good. */
    case Setting = 'setting';

    /** Does it say beforehand which runs there are? */
    public function isLaidOut(): bool
    {
        return $this !== self::Free && $this !== self::Setting;
    }

    /** Is chance asked at all? */
    public function isShuffled(): bool
    {
        return !in_array($this, [self::Free, self::Ladder, self::Staircase, self::Setting, self::Checks], true);
    }
}
