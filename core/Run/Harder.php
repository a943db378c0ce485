<?php

declare(strict_types=1);

namespace Lustrum\Core\Run;

/** Which way along a factor a try gets harder. */
enum Harder: string
{
    /** Neither: only the same level is as hard. */
    case None = 'none';
    case More = 'more';
    case Less = 'less';
}
