<?php

declare(strict_types=1);

namespace Lustrum\Domain\Revision;

/** Where an article is; a plan offers only what is here. */
enum Whereabouts: string
{
    case Here = 'here';
    case Tester = 'tester';
    case Lent = 'lent';
    case Sold = 'sold';
    case Scrapped = 'scrapped';
}
