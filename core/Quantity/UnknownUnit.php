<?php

declare(strict_types=1);

namespace Lustrum\Core\Quantity;

use Lustrum\Core\CoreException;

/** A unit symbol that Lustrum does not know. */
final class UnknownUnit extends CoreException
{
    public static function symbol(string $typed, ?string $nearest): self
    {
        return new self('unit.unknown', $nearest === null
            ? sprintf('“%s” is not a unit that Lustrum knows.', mb_substr($typed, 0, 40))
            : sprintf('“%s” is not a unit that Lustrum knows. Did you mean %s?', mb_substr($typed, 0, 40), $nearest), 'unit');
    }

    public static function missing(): self
    {
        return new self('unit.unknown', 'The unit is missing. Write it behind the number, as in “12.5 N”.', 'unit');
    }

    public static function tooLong(string $typed): self
    {
        return new self('unit.unknown', sprintf('“%s…” is too long for a unit (60 characters at most).', mb_substr($typed, 0, 20)), 'unit');
    }
}
