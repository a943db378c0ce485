<?php

declare(strict_types=1);

namespace Lustrum\Shared\Refusal;

/** What was sent is not what it says it is. */
final class Unreadable extends Refusal
{
    public static function json(): self
    {
        return new self('The request could not be read: it is not valid JSON. Nothing was saved.');
    }

    public static function file(): self
    {
        return new self('This file is not whole: it ends in the middle, or is not JSON. Nothing was stored.');
    }
}
