<?php

declare(strict_types=1);

namespace Lustrum\Core;

/** A number, or what comes of several, that is larger or smaller than can be worked with. */
final class NumberRange extends CoreException
{
    public static function of(string $path = ''): self
    {
        return new self(
            'number.range', 'This number is larger or smaller than can be worked with: 1e-150 to 1e150, or nought.', $path,
        );
    }

    public static function left(): self
    {
        return new self('number.range', 'What comes of these numbers is larger than can be worked with.');
    }
}
