<?php

declare(strict_types=1);

namespace Lustrum\Core\Statistics;

use Lustrum\Core\CoreException;

/** An empty list where at least one value is wanted. */
final class NoValues extends CoreException
{
    public static function given(string $path = 'values'): self
    {
        return new self('values.empty', 'There are no values yet. One run is enough to begin with.', $path);
    }
}
