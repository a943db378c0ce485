<?php

declare(strict_types=1);

namespace Lustrum\Shared\Refusal;

/** There is no such thing, or it belongs to somebody else: the two cannot be told apart from outside. */
final class NotThere extends Refusal
{
    public static function here(): self
    {
        return new self('There is nothing at this address, or it is not yours to see.');
    }

    public static function picture(): self
    {
        return new self('The record of this file is here, but the file itself is not in the store.');
    }
}
