<?php

declare(strict_types=1);

namespace Lustrum\Domain\Device;

/** Where the value that a requirement limits comes from. */
enum RequirementSource: string
{
    case Runs = 'runs';
    /** A parameter of the build that is called like its metric. */
    case Parameter = 'parameter';
    /** What the parts of the build cost. */
    case Cost = 'cost';
    /** What they weigh. */
    case Mass = 'mass';
}
