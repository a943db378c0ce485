<?php

declare(strict_types=1);

namespace Lustrum\Core\Run;

/** How a condition is meant to be: which of the three a practitioner works by is a school, and is said. */
enum ConditionAim: string
{
    /** As equal as possible. */
    case Nominal = 'nominal';
    /** As harsh as it will get. */
    case Worst = 'worst';
    /** As it comes. */
    case Uncontrolled = 'uncontrolled';
}
