<?php

declare(strict_types=1);

namespace Lustrum\Core;

/** An input that does not have the shape or the range that an operation asks for. */
final class InvalidInput extends CoreException
{
    public static function because(string $sentence, string $path = ''): self
    {
        return new self('input.invalid', $sentence, $path);
    }

    public static function notANumber(string $path): self
    {
        return new self('input.invalid', 'A plain number is wanted here.', $path);
    }

    public static function unknownField(string $path): self
    {
        return new self('input.unknown', sprintf('There is no field called “%s” here.', basename($path)), $path);
    }
}
