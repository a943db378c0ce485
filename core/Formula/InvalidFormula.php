<?php

declare(strict_types=1);

namespace Lustrum\Core\Formula;

use Lustrum\Core\CoreException;

/** A formula that cannot be read or worked out. */
final class InvalidFormula extends CoreException
{
    public static function syntax(string $detail): self
    {
        return new self('formula.invalid', 'This formula cannot be read: '.$detail, 'expression');
    }

    public static function notAllowed(string $what): self
    {
        return new self('formula.invalid', sprintf('%s has no place in a formula here.', $what), 'expression');
    }

    public static function variable(string $name): self
    {
        return new self('variable.unknown', sprintf('“%s” is neither a variable of this formula nor a constant.', $name), 'expression');
    }

    public static function dimensions(string $part, string $sentence): self
    {
        return new self('unit.mismatch', sprintf('In “%s”: %s', $part, $sentence), 'expression');
    }

    public static function undefined(string $part): self
    {
        return new self('formula.undefined', sprintf('“%s” has no value for these numbers.', $part), 'expression');
    }
}
