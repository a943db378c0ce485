<?php

declare(strict_types=1);

namespace Lustrum\Core\Run;

/** What a quantity that a method varies is to its runs. */
enum FactorRole: string
{
    /** Varied on purpose, or to be covered: its levels make cells. */
    case Factor = 'factor';
    /** What pairs naturally belong together by: rater, article, day, bed; its own differences are taken out. */
    case Block = 'block';
}
