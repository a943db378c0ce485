<?php

declare(strict_types=1);

namespace Lustrum\Shared\Refusal;

/** Something is there already that this would stand beside. */
final class Taken extends Refusal
{
    public static function name(?\Throwable $previous = null): self
    {
        return new self('Something of this kind with the same name or place is there already.', [], $previous);
    }

    public static function identifier(): self
    {
        return new self('This identifier belongs to another record already. Make a new one.');
    }

    public static function account(): self
    {
        return new self('There is an account already. Sign in, or ask a lead to let you in.');
    }

    public static function because(string $sentence): self
    {
        return new self($sentence);
    }
}
