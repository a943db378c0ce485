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
    /** On an article that stays as it is, so that what the rig reads otherwise shows. */
    case Reference = 'reference';
    /** The rig alone: what it reads is taken off. */
    case Empty = 'empty';
}
