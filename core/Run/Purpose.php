<?php

declare(strict_types=1);

namespace Lustrum\Core\Run;

/** What a run was made for; only runs that are to find out enter estimates, shares and states. */
enum Purpose: string
{
    case FindOut = 'findOut';
    /** To settle or flush something new. */
    case Settle = 'settle';
    case Practise = 'practise';
    /** Something known, shown to onlookers. */
    case Demonstrate = 'demonstrate';
}
