<?php

declare(strict_types=1);

namespace Lustrum\Core\Setting;

/** Why this setting is to be tried next, or why there is none. */
enum NextReason: string
{
    /** An end that nobody tried. */
    case End = 'end';
    /** The middle between the highest that was too low and the lowest that was too high. */
    case Middle = 'middle';
    /** The middle of those that were good. */
    case Good = 'good';
    /** Even the end of the range is not enough. */
    case Beyond = 'beyond';
    /** No step is left between. */
    case Exhausted = 'exhausted';
}
