<?php

declare(strict_types=1);

namespace Lustrum\Core\Run;

/** Where a configuration that was not frozen whole at the start of its run was filled from afterwards. */
enum Filled: string
{
    /** The history entry of the method's version that the run names. */
    case History = 'history';
    /** The method and the build as they were when it was filled: the nearest that can be told. */
    case Present = 'present';
}
