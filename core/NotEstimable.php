<?php

declare(strict_types=1);

namespace Lustrum\Core;

/** The data do not hold what was asked for; the code says what in them prevents it. */
final class NotEstimable extends CoreException
{
    public static function because(string $code, string $sentence, string $path = ''): self
    {
        return new self($code, $sentence, $path);
    }
}
